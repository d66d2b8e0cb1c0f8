import { stationsToGeoJson } from '@umbrex/core/stations';
import { endpoint } from '@/server/endpoint';
import { listThings } from '@/server/store/store';
import { stationFor } from '@/server/views/stations';

/** GET the stations that have a site as GeoJSON, as a download; observers get them without tones: 200. */
export const GET = endpoint('GET /api/stations/geojson', async ({ db, workspace, session }) => {
  const stations = await listThings(db, 'station', workspace.id);
  const seen = stations.map(({ value }) => stationFor(session, value));
  return new Response(`${JSON.stringify(stationsToGeoJson(seen), null, 2)}\n`, {
    headers: {
      'content-type': 'application/geo+json; charset=utf-8',
      'content-disposition': 'attachment; filename="stations.geojson"',
    },
  });
});
