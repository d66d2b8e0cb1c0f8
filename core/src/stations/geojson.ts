import { z } from 'zod';
import type { Finding } from '../findings/index';
import { LineSchema, PlaceSchema, type Station, StationSchema } from '../model/index';

const PointSchema = z.object({
  type: z.literal('Feature'),
  geometry: z.object({
    type: z.literal('Point'),
    /** Longitude first. Source: RFC 7946, 3.1.1. */
    coordinates: z.tuple([z.number(), z.number()]).rest(z.number()),
  }),
  properties: z.object({ name: LineSchema.trim().min(1).max(60) }).loose(),
});
const CollectionSchema = z.object({
  type: z.literal('FeatureCollection'),
  features: z.array(z.unknown()).max(2000),
});

/** Stations with a site as GeoJSON points; everything else of them stands in `umbrex`. Source: RFC 7946. */
export function stationsToGeoJson(stations: readonly Station[]) {
  return {
    type: 'FeatureCollection' as const,
    features: stations.flatMap((station) =>
      station.site
        ? [
            {
              type: 'Feature' as const,
              geometry: {
                type: 'Point' as const,
                coordinates: [station.site.longitudeDeg, station.site.latitudeDeg],
              },
              properties: { name: station.name, kind: station.kind, umbrex: station },
            },
          ]
        : [],
    ),
  };
}

/**
 * Reads stations from GeoJSON: our own come back whole under a fresh id, other points become a station with a name and a site.
 * Points that cannot be taken are said with their path, the others stay.
 */
export function stationsFromGeoJson(
  document: unknown,
  newId: () => string,
): { stations: Station[]; findings: Finding[] } {
  const findings: Finding[] = [];
  const wrong = (path: string, detail: string) =>
    findings.push({ code: 'document-shape', severity: 'error', path, detail });
  const collection = CollectionSchema.safeParse(document);
  if (!collection.success) {
    wrong('', 'not a GeoJSON FeatureCollection');
    return { stations: [], findings };
  }
  const stations = collection.data.features.flatMap((raw, i): Station[] => {
    const point = PointSchema.safeParse(raw);
    if (!point.success) {
      wrong(`/features/${i}`, 'not a point with a name');
      return [];
    }
    const [longitudeDeg, latitudeDeg] = point.data.geometry.coordinates;
    const site = PlaceSchema.safeParse({ latitudeDeg, longitudeDeg });
    if (!site.success) {
      wrong(`/features/${i}/geometry/coordinates`, 'longitude -180 to 180, then latitude -90 to 90');
      return [];
    }
    const own = StationSchema.safeParse(point.data.properties.umbrex);
    if (own.success) return [{ ...own.data, id: newId(), site: site.data, reports: [] }];
    const kind = StationSchema.shape.kind.safeParse(point.data.properties.kind);
    return [
      StationSchema.parse({
        id: newId(),
        kind: kind.success ? kind.data : 'repeater',
        name: point.data.properties.name,
        site: site.data,
      }),
    ];
  });
  return { stations, findings };
}
