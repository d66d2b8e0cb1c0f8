import { stationsToGeoJson } from '@umbrex/core/stations';
import { endpoint } from '@/server/endpoint';
import { listDocuments } from '@/server/repositories/documents';
import { stationFor } from '@/server/stations';

/** GET the stations that have a site as GeoJSON, as a download; observers get them without tones: 200. */
export const GET = endpoint(null, async ({ db, workspace, session }) => {
  const stations = await listDocuments(db, 'station', workspace.id);
  const seen = stations.map(({ value }) => stationFor(session, value));
  return new Response(`${JSON.stringify(stationsToGeoJson(seen), null, 2)}\n`, {
    headers: {
      'content-type': 'application/geo+json; charset=utf-8',
      'content-disposition': 'attachment; filename="stations.geojson"',
    },
  });
});
