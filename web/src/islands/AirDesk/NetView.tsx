import {
  forceCollide,
  forceLink,
  forceManyBody,
  forceSimulation,
  forceX,
  forceY,
  type SimulationNodeDatum,
} from 'd3';
import { useMemo } from 'react';
import { counted } from '../../messages/labels';
import { between, type useAirDesk } from './useAirDesk';

interface Node extends SimulationNodeDatum {
  readonly id: number;
  readonly title: string;
  readonly count: number;
  readonly radius: number;
}
interface Arrow {
  readonly source: number;
  readonly target: number;
  /** Both ways; one way, though both send; or to those that only listen. */
  readonly is: 'both' | 'one-way' | 'listens';
}

const [WIDTH, HEIGHT] = [900, 520];
const LINES = {
  both: 'stroke-base-content/60',
  'one-way': 'stroke-warning',
  listens: 'stroke-base-content/15',
} as const;

/** Who reaches whom on the channel: sets that come to the same are one dot, lines go both ways, arrows one way only. */
export function NetView({ groups, callOf, drawn, chosen, setChosen }: ReturnType<typeof useAirDesk>) {
  const { nodes, arrows } = useMemo(
    () =>
      layout(groups, (a, b) => {
        const [from, to] = [groups[a], groups[b]];
        const call = from && to && between(from, to);
        if (!call) return false;
        const { mark } = callOf(call.from, call.to);
        return mark === 'heard' || mark === 'poor';
      }),
    [groups, callOf],
  );
  const islands = drawn?.islands ?? [];
  const alone = islands.filter(({ length }) => length === 1).length;
  const oneWay = arrows.filter(({ is }) => is === 'one-way').length;
  return (
    <figure className="mt-4">
      <figcaption className="text-small">
        {counted(islands.length - alone, 'island')} of sets that reach each other, {alone} that nobody reaches
        and that reach nobody, {counted(oneWay, 'one-way pair')} of groups that both send. Dotted ones only
        listen.
      </figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="mt-2 w-full max-w-4xl border-y border-base-300"
        role="img"
        aria-label="Who reaches whom, drawn; the table above says the same"
      >
        <defs>
          <marker
            id="air-arrow"
            viewBox="0 0 8 8"
            refX="7"
            refY="4"
            markerWidth="7"
            markerHeight="7"
            orient="auto"
          >
            <path d="M0 0 8 4 0 8Z" className="fill-warning" />
          </marker>
        </defs>
        {arrows.map(({ source, target, is }) => {
          const [a, b] = [nodes[source], nodes[target]];
          if (!a || !b) return null;
          const [x, y] = [(b.x ?? 0) - (a.x ?? 0), (b.y ?? 0) - (a.y ?? 0)];
          const long = Math.hypot(x, y) || 1;
          return (
            <line
              key={`${source}-${target}`}
              x1={(a.x ?? 0) + (x / long) * a.radius}
              y1={(a.y ?? 0) + (y / long) * a.radius}
              x2={(b.x ?? 0) - (x / long) * (b.radius + 2)}
              y2={(b.y ?? 0) - (y / long) * (b.radius + 2)}
              className={LINES[is]}
              strokeWidth={is === 'both' ? 1.4 : 1}
              strokeDasharray={is === 'one-way' ? '5 3' : undefined}
              markerEnd={is === 'one-way' ? 'url(#air-arrow)' : undefined}
            />
          );
        })}
        {nodes.map(({ id, title, count, radius, x = 0, y = 0 }) => {
          const isHere = groups[id]?.members.includes(chosen?.from ?? -1);
          return (
            // biome-ignore lint/a11y/noStaticElementInteractions: the table above is the way by keyboard
            <g
              key={id}
              transform={`translate(${x},${y})`}
              className="cursor-pointer"
              onClick={() => {
                const group = groups[id];
                const other = groups.find((one) => one !== group) ?? group;
                const call = group && other && between(group, other);
                if (call) setChosen(call);
              }}
            >
              <circle
                strokeDasharray={groups[id]?.sends ? undefined : '2 3'}
                r={radius}
                className={`fill-base-200 ${isHere ? 'stroke-primary' : 'stroke-base-content'}`}
                strokeWidth={isHere ? 3 : 1.4}
              />
              <text textAnchor="middle" dy="0.35em" className="fill-base-content font-mono text-[11px]">
                {count}
              </text>
              <text textAnchor="middle" y={radius + 12} className="fill-base-content text-[11px]">
                {title}
              </text>
            </g>
          );
        })}
      </svg>
    </figure>
  );
}

function layout(
  groups: ReturnType<typeof useAirDesk>['groups'],
  hears: (from: number, to: number) => boolean,
) {
  const nodes = groups.map(
    ({ title, members }, id): Node => ({
      id,
      title: `${id + 1} ${title}`,
      count: members.length,
      radius: 9 + 3 * Math.sqrt(members.length),
    }),
  );
  const arrows: Arrow[] = [];
  for (const a of groups.keys())
    for (const b of groups.keys()) {
      if (a >= b) continue;
      const [there, back] = [hears(a, b), hears(b, a)];
      const [source, target] = there ? [a, b] : [b, a];
      if (there && back) arrows.push({ source, target, is: 'both' });
      else if (there || back)
        arrows.push({ source, target, is: groups[target]?.sends ? 'one-way' : 'listens' });
    }
  // The simulation writes into its links and nodes; its start is always the same (no chance in it).
  forceSimulation(nodes)
    .force(
      'link',
      forceLink(arrows.map(({ source, target }) => ({ source, target })))
        .distance(150)
        .strength(0.05),
    )
    .force('apart', forceManyBody().strength(-700))
    .force(
      'room',
      forceCollide<Node>(({ radius }) => radius + 24),
    )
    .force('x', forceX(WIDTH / 2).strength(0.09))
    .force('y', forceY(HEIGHT / 2).strength(0.16))
    .stop()
    .tick(300);
  for (const node of nodes) {
    node.x = Math.max(60, Math.min(WIDTH - 60, node.x ?? 0));
    node.y = Math.max(node.radius + 4, Math.min(HEIGHT - node.radius - 18, node.y ?? 0));
  }
  return { nodes, arrows };
}
