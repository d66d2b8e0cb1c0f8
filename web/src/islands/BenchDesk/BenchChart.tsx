import type { BenchDay } from '@umbrex/core/model';
import { scaleLinear } from 'd3';
import { clockText } from '../../messages/bench';

interface Props {
  readonly day: BenchDay;
  readonly personName: (id: string) => string;
  readonly setName: (id: string) => string;
}

const WIDTH = 960;
const LEFT = 120;
const ROW = 40;
const TOP = 24;

/** A bench day as a chart: a row for each person, a bar for each set, and the time before which no day could be done. */
export function BenchChart({ day, personName, setName }: Props) {
  const { tasks, people, beginsMin, lastsMin, lowerBoundMin, progress } = day;
  const finish = tasks.reduce((most, { toMin }) => Math.max(most, toMin), 0);
  const x = scaleLinear()
    .domain([0, Math.max(lastsMin, finish, 1)])
    .range([LEFT, WIDTH - 22]);
  const step = lastsMin > 360 ? 60 : 30;
  const ticks = Array.from({ length: Math.floor(x.domain()[1] ?? 0) / step + 1 }, (_, i) => i * step);
  const height = TOP + people.length * ROW + 6;
  const y = (personId: string) => TOP + people.findIndex(({ id }) => id === personId) * ROW;
  const sentence = `${tasks.length} sets by ${people.length} people, done at ${clockText(beginsMin + finish)}. The list below says the same.`;
  // Told to the linter as a region that scrolls by keys too.
  const byKeys = { tabIndex: 0 };
  return (
    <section className="overflow-x-auto print:overflow-visible" aria-label="The day as a chart" {...byKeys}>
      <svg
        viewBox={`0 0 ${WIDTH} ${height}`}
        className="min-w-[46rem] max-w-5xl"
        role="img"
        aria-label={sentence}
      >
        {ticks.map((at) => (
          <g key={at} className="text-base-300">
            <line x1={x(at)} x2={x(at)} y1={TOP - 6} y2={height} stroke="currentColor" />
            <text
              x={x(at)}
              y={TOP - 10}
              fontSize="11"
              textAnchor="middle"
              className="fill-secondary font-mono"
            >
              {clockText(beginsMin + at)}
            </text>
          </g>
        ))}
        {people.map(({ id, fromMin, toMin }) => (
          <g key={id}>
            <text x={0} y={y(id) + 20} fontSize="13" className="fill-base-content font-semibold">
              {short(personName(id), 17)}
            </text>
            <line
              x1={x(fromMin)}
              x2={x(Math.min(toMin, x.domain()[1] ?? toMin))}
              y1={y(id) + 34}
              y2={y(id) + 34}
              stroke="currentColor"
              strokeWidth="1"
              strokeDasharray="2 3"
              className="text-secondary"
            />
          </g>
        ))}
        {tasks.map(({ setId, personId, way, fromMin, toMin }) => {
          const width = Math.max(3, x(toMin) - x(fromMin) - 1.5);
          const state = progress[setId];
          const letters = Math.floor((width - 6) / 6.6);
          return (
            <g key={setId} className={state === 'dropped' ? 'opacity-50' : ''}>
              <rect
                x={x(fromMin)}
                y={y(personId) + 4}
                width={width}
                height={26}
                rx="2"
                className={state === 'done' ? 'text-base-content' : 'text-primary'}
                fill={state === 'done' || state === 'begun' ? 'currentColor' : 'none'}
                fillOpacity={state === 'begun' ? 0.25 : 1}
                stroke="currentColor"
                strokeWidth={way === 'keys' ? 1.4 : 2.4}
                strokeDasharray={way === 'copy' ? '4 2' : undefined}
              />
              {letters >= 3 && (
                <text
                  x={x(fromMin) + 4}
                  y={y(personId) + 21}
                  fontSize="12"
                  className={state === 'done' ? 'fill-base-100' : 'fill-base-content'}
                >
                  {short(setName(setId), letters)}
                </text>
              )}
            </g>
          );
        })}
        {lowerBoundMin !== null && tasks.length > 0 && (
          <g className="text-accent">
            <line
              x1={x(lowerBoundMin)}
              x2={x(lowerBoundMin)}
              y1={TOP}
              y2={height}
              stroke="currentColor"
              strokeWidth="2"
              strokeDasharray="5 3"
            />
          </g>
        )}
      </svg>
      <p className="muted text-small">
        An edge alone is still to do, half filled is under way, filled is done; a heavy edge is a stand, a
        dashed one a copy. The upright dashed line is the time before which no day could be done.
      </p>
    </section>
  );
}

const short = (text: string, most: number) =>
  text.length <= most ? text : `${text.slice(0, Math.max(1, most - 1))}…`;
