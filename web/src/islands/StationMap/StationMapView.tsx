import { factOf } from '@umbrex/core/stations';
import { mhzText } from '@umbrex/core/units';
import { Maximize, Minus, Plus } from 'lucide-react';
import type { CSSProperties } from 'react';
import { KIND_TEXT } from '../../messages/stations';
import { LabelledCheck } from '../../ui/LabelledCheck';
import { HEIGHT, type Site, type useStationMap, WIDTH } from './useStationMap';

type Props = ReturnType<typeof useStationMap>;

const STEP_PX = 60;
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [STEP_PX, 0],
  ArrowRight: [-STEP_PX, 0],
  ArrowUp: [0, STEP_PX],
  ArrowDown: [0, -STEP_PX],
};

/** Where the stations are, with what is claimed for them, beside the list of them; both move together. */
export function StationMapView(props: Props) {
  const { planId, sites, placeless, chosenId, choose, rings, setRings, scale, whole } = props;
  return (
    <div className="px-5 py-4 max-md:px-3">
      <h1 className="text-xl font-bold">Map</h1>
      <p className="muted mb-3">
        Circles are what somebody claims; no hill is in them. That a station is heard does not say that it
        hears you.
      </p>
      <div className="lg:grid lg:grid-cols-[16rem_minmax(0,1fr)] lg:gap-5">
        <div>
          <ul className="max-lg:mb-3">
            {sites.map(({ station }) => (
              <li key={station.id} className="border-b border-base-300">
                <button
                  type="button"
                  className={`w-full cursor-pointer px-2 py-1 text-left hover:bg-base-100 ${chosenId === station.id ? 'bg-base-100 outline-2 outline-primary -outline-offset-2' : ''}`}
                  aria-pressed={chosenId === station.id}
                  onClick={() => choose(station.id)}
                >
                  <strong>{station.name}</strong>
                  <span className="muted block text-small">
                    {KIND_TEXT[station.kind].one}
                    {claim(station)}
                  </span>
                </button>
                {chosenId === station.id && (
                  <a
                    className="link mb-1 ml-2 block text-plain"
                    href={`/plans/${planId}/stations?station=${station.id}`}
                  >
                    What is said of it
                  </a>
                )}
              </li>
            ))}
          </ul>
          {sites.length === 0 && <p>No station has a site yet. Give one a site under Stations.</p>}
          {placeless.length > 0 && (
            <p className="muted mt-2 text-small">
              Without a site: {placeless.map(({ name }) => name).join(', ')}.
            </p>
          )}
        </div>
        <div>
          <Drawing {...props} />
          <div className="mt-2 flex flex-wrap items-center gap-3">
            <span className="join">
              <button
                type="button"
                className="btn btn-outline btn-sm join-item"
                aria-label="Nearer"
                onClick={() => scale(1.6)}
              >
                <Plus size={16} aria-hidden="true" />
              </button>
              <button
                type="button"
                className="btn btn-outline btn-sm join-item"
                aria-label="Farther"
                onClick={() => scale(1 / 1.6)}
              >
                <Minus size={16} aria-hidden="true" />
              </button>
              <button
                type="button"
                className="btn btn-outline btn-sm join-item"
                aria-label="Everything"
                onClick={whole}
              >
                <Maximize size={16} aria-hidden="true" />
              </button>
            </span>
            <LabelledCheck checked={rings} set={setRings} className="text-sm">
              Claimed circles
            </LabelledCheck>
            <span className="muted text-sm">
              Drag, or arrows and + − on the map; Ctrl and the wheel zoom.
            </span>
          </div>
        </div>
      </div>
    </div>
  );
}

function claim(station: Site['station']): string {
  const hz = factOf(station, 'outputHz');
  const rangeM = factOf(station, 'rangeM');
  return `${hz === undefined ? '' : `, ${mhzText(hz)} MHz`}${rangeM === undefined ? '' : `, claims ${rangeM / 1000} km`}`;
}

function Drawing({
  svg,
  bands,
  countyLines,
  sites,
  homes,
  rings,
  chosenId,
  choose,
  transform,
  scale,
  moveBy,
  whole,
}: Props) {
  const k = transform.k;
  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawing of many parts; nothing else groups an svg
    <svg
      ref={svg}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="map w-full touch-none rounded border border-base-300"
      role="group"
      aria-label="Map of the stations. The same stations are in the list beside it."
      // biome-ignore lint/a11y/noNoninteractiveTabindex: arrows and plus and minus work on it
      tabIndex={0}
      onKeyDown={(event) => {
        const arrow = ARROWS[event.key];
        if (arrow) moveBy(...arrow);
        else if (event.key === '+' || event.key === '=') scale(1.6);
        else if (event.key === '-') scale(1 / 1.6);
        else if (event.key === '0') whole();
        else return;
        event.preventDefault();
      }}
    >
      <g transform={transform.toString()}>
        {countyLines && <path d={countyLines} className="map-county" strokeWidth={0.6 / k} />}
        {bands.map(
          ({ fromM, share, d }) =>
            d && (
              <path
                key={fromM}
                d={d}
                className="map-land"
                style={{ '--height': share } as CSSProperties}
                strokeWidth={0.7 / k}
              />
            ),
        )}
        {rings &&
          sites.map(({ station, ring }) =>
            ring ? (
              <path
                key={station.id}
                d={ring}
                className={`map-claim ${chosenId === station.id ? 'map-claim-chosen' : ''}`}
                strokeWidth={(chosenId === station.id ? 2 : 1) / k}
                strokeDasharray={`${5 / k} ${4 / k}`}
              />
            ) : null,
          )}
        {homes.map(({ id, name, at }) => (
          <g key={id} transform={`translate(${at[0]},${at[1]}) scale(${1 / k})`}>
            <title>{`${name}, usual place, coarse`}</title>
            <rect x={-4} y={-4} width={8} height={8} className="map-home" />
          </g>
        ))}
        {sites.map(({ station, at }) => (
          // biome-ignore lint/a11y/noStaticElementInteractions: the list beside it has a button for each
          <g
            key={station.id}
            transform={`translate(${at[0]},${at[1]}) scale(${1 / k})`}
            className="cursor-pointer"
            onClick={() => choose(station.id)}
          >
            <title>{`${station.name}, ${KIND_TEXT[station.kind].one}`}</title>
            <circle r={16} fill="transparent" />
            <Sign kind={station.kind} chosen={chosenId === station.id} />
            <text x={12} y={4} className="map-name">
              {station.name}
            </text>
          </g>
        ))}
      </g>
    </svg>
  );
}

/** A shape for each kind, so that colour is never needed. */
function Sign({ kind, chosen }: { kind: Site['station']['kind']; chosen: boolean }) {
  const className = chosen ? 'map-sign map-sign-chosen' : 'map-sign';
  switch (kind) {
    case 'repeater':
      return <path d="M0-9 7 7H-7Z" className={className} />;
    case 'weather':
      return <circle r={6.5} className={className} />;
    case 'trunked':
      return <path d="M-6.500-6.500h13v13h-13Z" className={className} />;
    case 'listen':
      return <path d="M-7-3a7 7 0 0 0 14 0Z" className={className} />;
    default:
      return kind satisfies never;
  }
}
