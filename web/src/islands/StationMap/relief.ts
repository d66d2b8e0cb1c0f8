import * as d3 from 'd3';
import type { MultiPolygon } from 'geojson';

/** Heights on a grid, row by row from the north-west. */
export interface Relief {
  readonly name: string;
  readonly west: number;
  readonly east: number;
  readonly south: number;
  readonly north: number;
  readonly columns: number;
  readonly rows: number;
  readonly heightsM: readonly number[];
}

export interface Band {
  /** The height from which it goes up, in metres. */
  readonly fromM: number;
  /** 0 at the sea to 1 at the top. */
  readonly share: number;
  readonly shape: MultiPolygon;
}

const STEP_M = 60;

/** The land of a relief as bands of height, the lowest first, in degrees. */
export function reliefBands(relief: Relief): Band[] {
  const { columns, rows, west, east, south, north, heightsM } = relief;
  const top = d3.max(heightsM) ?? 0;
  const levels = d3.range(0, Math.max(top, 1), STEP_M);
  const toDegrees = ([x = 0, y = 0]: number[]): [number, number] => [
    west + (x / columns) * (east - west),
    north - (y / rows) * (north - south),
  ];
  return d3
    .contours()
    .size([columns, rows])
    .thresholds(levels)([...heightsM])
    .map((contour) => ({
      fromM: contour.value,
      share: top === 0 ? 0 : contour.value / top,
      shape: {
        type: 'MultiPolygon' as const,
        // On the globe a ring's sense says what is inside: d3-geo wants it clockwise, contours give the other one.
        coordinates: contour.coordinates.map((polygon) =>
          polygon.map((ring) => ring.map(toDegrees).reverse()),
        ),
      },
    }));
}
