import type { Station } from '@umbrex/core/model';
import { factOf } from '@umbrex/core/stations';
import { EARTH_RADIUS_M, type Place } from '@umbrex/core/units';
import * as d3 from 'd3';
import type { FeatureCollection, Polygon } from 'geojson';
import { useEffect, useMemo, useRef, useState } from 'react';
import { type Relief, reliefBands } from './relief';

export interface MapProps {
  readonly planId: string;
  readonly stations: readonly Station[];
  /** Usual places of those who want them known. */
  readonly people: readonly { id: string; name: string; place: Place }[];
  /** Where the heights of an invented island come from; `null` where there are none. */
  readonly reliefUrl: string | null;
  readonly isUs: boolean;
}

export const WIDTH = 760;
export const HEIGHT = 620;
const MOST_ZOOM = 40;
const LEAST_ZOOM = 0.15;
/** When all sites lie together, the map still shows this much around them. */
const LEAST_SPAN_DEG = 0.2;

/** A site on the map: where it is drawn, and the circle that is claimed for it. */
export interface Site {
  readonly station: Station;
  readonly at: readonly [number, number];
  readonly ring: string | null;
}

/** The state of the map: its projection around all sites, what is drawn below them, what is chosen, how far it is zoomed. */
export function useStationMap(props: MapProps) {
  const { stations, people, reliefUrl, isUs } = props;
  const [chosenId, setChosenId] = useState<string | null>(null);
  const [rings, setRings] = useState(true);
  const [transform, setTransform] = useState(d3.zoomIdentity);
  const [relief, setRelief] = useState<Relief | null>(null);
  const [counties, setCounties] = useState<FeatureCollection | null>(null);
  const svg = useRef<SVGSVGElement>(null);
  const zoom = useRef<d3.ZoomBehavior<SVGSVGElement, unknown>>(undefined);

  const placed = useMemo(
    () => stations.flatMap((station) => (station.site ? [{ station, site: station.site }] : [])),
    [stations],
  );
  const projection = useMemo(
    () => projectionAround([...placed.map(({ site }) => site), ...people.map(({ place }) => place)]),
    [placed, people],
  );
  const path = useMemo(() => d3.geoPath(projection), [projection]);
  // Rounded: the last digits of a sine differ between the server's engine and the browser's, and React compares them.
  const onMap = useMemo(
    () => (place: Place) => {
      const at = projection([place.longitudeDeg, place.latitudeDeg]);
      return at ? ([Number(at[0].toFixed(2)), Number(at[1].toFixed(2))] as const) : null;
    },
    [projection],
  );

  useEffect(() => {
    if (!reliefUrl) return;
    const gone = new AbortController();
    fetch(reliefUrl, { signal: gone.signal })
      .then((answer) => (answer.ok ? answer.json() : null))
      .then(setRelief, () => undefined);
    return () => gone.abort();
  }, [reliefUrl]);
  useEffect(() => {
    if (!isUs || reliefUrl) return;
    // Half a megabyte: only where counties are wanted.
    void Promise.all([import('us-atlas/counties-10m.json'), import('topojson-client')]).then(
      ([atlas, topojson]) => {
        const topology = atlas.default as unknown as Parameters<typeof topojson.feature>[0];
        const object = topology.objects.counties;
        if (object) setCounties(topojson.feature(topology, object) as FeatureCollection);
      },
    );
  }, [isUs, reliefUrl]);

  const bands = useMemo(() => (relief ? reliefBands(relief) : []), [relief]);
  const sites = useMemo(
    () =>
      placed.flatMap(({ station, site }): Site[] => {
        const at = onMap(site);
        const rangeM = factOf(station, 'rangeM');
        return at ? [{ station, at, ring: rangeM === undefined ? null : path(circle(site, rangeM)) }] : [];
      }),
    [placed, onMap, path],
  );
  const homes = useMemo(
    () =>
      people.flatMap((person) => {
        const at = onMap(person.place);
        return at ? [{ ...person, at }] : [];
      }),
    [people, onMap],
  );

  useEffect(() => {
    if (!svg.current) return;
    const behaviour = d3
      .zoom<SVGSVGElement, unknown>()
      .scaleExtent([LEAST_ZOOM, MOST_ZOOM])
      // The wheel scrolls the page unless it is meant for the map.
      .filter((event) => event.type !== 'wheel' || event.ctrlKey || event.metaKey)
      .on('zoom', (event) => setTransform(event.transform));
    zoom.current = behaviour;
    const selection = d3.select(svg.current).call(behaviour).on('dblclick.zoom', null);
    return () => {
      selection.on('.zoom', null);
    };
  }, []);
  const scale = (by: number) => {
    if (svg.current && zoom.current) d3.select(svg.current).call(zoom.current.scaleBy, by);
  };
  const moveBy = (x: number, y: number) => {
    if (svg.current && zoom.current)
      d3.select(svg.current).call(zoom.current.translateBy, x / transform.k, y / transform.k);
  };
  const whole = () => {
    if (svg.current && zoom.current) d3.select(svg.current).call(zoom.current.transform, d3.zoomIdentity);
  };
  /** Chooses a station, and brings what is claimed for it into sight; without a claim the station itself. */
  const choose = (id: string) => {
    setChosenId(id);
    const site = sites.find(({ station }) => station.id === id);
    if (!site || !svg.current || !zoom.current) return;
    const { k } = transform;
    const rangeM = rings ? (factOf(site.station, 'rangeM') ?? 0) : 0;
    const box = site.station.site && rangeM > 0 ? path.bounds(circle(site.station.site, rangeM)) : null;
    const [[left, top], [right, bottom]] = box ?? [site.at, site.at];
    const fits = Math.min(WIDTH / (right - left || 1), HEIGHT / (bottom - top || 1)) * 0.95;
    const next = Math.max(LEAST_ZOOM, Math.min(k, fits));
    const [x, y] = transform.apply([...site.at]);
    const inside = x > 20 && y > 20 && x < WIDTH - 20 && y < HEIGHT - 20;
    if (inside && next === k) return;
    const middle = d3.zoomIdentity.translate(WIDTH / 2, HEIGHT / 2).scale(next);
    const at = middle.translate(-(left + right) / 2, -(top + bottom) / 2);
    d3.select(svg.current).call(zoom.current.transform, at);
  };

  return {
    ...props,
    svg,
    sites,
    homes,
    bands: bands.map((band) => ({ ...band, d: path(band.shape) })),
    countyLines: counties ? path(counties) : null,
    placeless: stations.filter((station) => !station.site),
    chosenId,
    choose,
    rings,
    setRings,
    transform,
    scale,
    moveBy,
    whole,
  };
}

function projectionAround(places: readonly Place[]): d3.GeoProjection {
  const lon = d3.extent(places, (place) => place.longitudeDeg);
  const lat = d3.extent(places, (place) => place.latitudeDeg);
  const [west = -100, east = -90] = lon[0] === undefined ? [] : lon;
  const [south = 35, north = 45] = lat[0] === undefined ? [] : lat;
  const grow = (a: number, b: number) => Math.max(0, (LEAST_SPAN_DEG - (b - a)) / 2);
  const [x, y] = [grow(west, east), grow(south, north)];
  const corners = {
    type: 'MultiPoint' as const,
    coordinates: [
      [west - x, south - y],
      [east + x, north + y],
    ],
  };
  const margin = 60;
  return d3.geoMercator().fitExtent(
    [
      [margin, margin],
      [WIDTH - margin, HEIGHT - margin],
    ],
    corners,
  );
}

/** A circle on the earth around a site. */
function circle(site: Place, radiusM: number): Polygon {
  const degrees = (radiusM / EARTH_RADIUS_M) * (180 / Math.PI);
  return d3.geoCircle().center([site.longitudeDeg, site.latitudeDeg]).radius(degrees)();
}
