import { FindingItem } from '../../components/FindingItem';
import { Shape } from '../../components/Shape';
import { counted } from '../../messages/labels';
import { VERDICT_TEXT, VERDICTS } from '../../messages/verdicts';
import { Drawer } from '../../ui/Drawer';
import { Empty } from '../../ui/Empty';
import { LabelledCheck } from '../../ui/LabelledCheck';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { ResultTable } from '../desk/ResultTable';
import { BoardRow } from './BoardRow';
import { CellDrawer } from './CellDrawer';
import { cellId, type useFitBoard } from './useFitBoard';

const cellOf = (key: string) => key;

/** The fit board: channels down, devices across, a shape and a slot in each cell; reasons on the right. */
export function FitBoardView(props: ReturnType<typeof useFitBoard>) {
  const { desk, plan, columns, place, setPlace } = props;
  const channel = place && plan.channels.find((c) => c.id === place.channelId);
  const column = place && columns.find((c) => c.key === place.column);
  return (
    <div className={channel && column ? 'lg:grid lg:grid-cols-[minmax(0,1fr)_22rem]' : ''}>
      <div className="min-w-0 px-5 py-4 max-md:px-3">
        <Head {...props} />
        <Compare {...props} />
        {columns.length === 0 ? (
          <Empty>
            No device is in the list yet.{' '}
            <a className="link" href={`/plans/${plan.id}/devices`}>
              Add one under Devices
            </a>
            , and this board shows what it can do with the plan.
          </Empty>
        ) : plan.channels.length === 0 ? (
          <Empty>The plan has no channel yet. Write one in the line above.</Empty>
        ) : (
          <Table {...props} />
        )}
        <UnitFindings {...props} />
        <ResultTable planId={plan.id} what="fit" rows="cells" />
      </div>
      {channel && column && (
        <Drawer
          label="Reasons"
          opened={{
            key: cellId(place),
            title: `${channel.name} × ${column.title}`,
            label: `Reasons for ${channel.name} on ${column.title}`,
            sub: column.of,
          }}
          rowId={cellOf}
          close={() => {
            setPlace(null);
            document.getElementById(cellId(place))?.focus();
          }}
          follows
        >
          <CellDrawer channel={channel} column={column} desk={desk} />
        </Drawer>
      )}
    </div>
  );
}

function Table({
  columns,
  lines,
  scroller,
  virtual,
  place,
  focusable,
  setPlace,
  onKeyDown,
  opened,
  toggleKind,
  dense,
}: ReturnType<typeof useFitBoard>) {
  const shown = virtual.getVirtualItems();
  const above = shown[0]?.start ?? 0;
  const below = virtual.getTotalSize() - (shown.at(-1)?.end ?? 0);
  const width = dense ? 'w-6 min-w-6' : 'w-20 min-w-20';
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: arrow keys move between the buttons of the table
    <div
      ref={scroller}
      className="max-h-[calc(100vh-12rem)] overflow-auto border-y border-base-300"
      onKeyDown={onKeyDown}
    >
      <table className="table-fixed border-separate border-spacing-0" aria-rowcount={lines.length + 1}>
        <thead>
          <tr>
            <th
              scope="col"
              className={`sticky left-0 top-0 z-20 border-b border-base-300 bg-base-200 ${dense ? 'w-36' : 'w-60 max-sm:w-36'}`}
            >
              <span className="sr-only">Channel</span>
            </th>
            {columns.map((c) => (
              <th
                key={c.key}
                scope="col"
                className={`sticky top-0 z-10 border-b border-base-300 bg-base-200 align-bottom font-semibold ${width} ${dense ? 'h-32' : 'h-22 px-1'} ${place?.column === c.key ? 'underline decoration-primary decoration-4 underline-offset-4' : ''}`}
              >
                <button
                  type="button"
                  className={`cursor-pointer text-sub leading-tight hover:underline ${dense ? 'max-h-30 rotate-180 truncate text-left [writing-mode:vertical-rl]' : 'w-full'}`}
                  aria-expanded={opened.has(c.kindKey)}
                  title={opened.has(c.kindKey) ? 'Close to the kind' : 'Open to its units'}
                  onClick={() => toggleKind(c.kindKey)}
                >
                  {c.title}
                  <span className={dense ? 'sr-only' : 'muted block font-normal'}> {c.under}</span>
                </button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {above > 0 && <tr style={{ height: above }} />}
          {shown.map((item) => {
            const line = lines[item.index];
            if (!line) return null;
            return line.kind === 'group' ? (
              <tr key={line.id} aria-rowindex={item.index + 2} className="h-[34px]">
                <th scope="rowgroup" colSpan={columns.length + 1} className="pt-2 text-left text-small">
                  <span className="muted sticky left-0">{line.name}</span>
                </th>
              </tr>
            ) : (
              <BoardRow
                key={line.id}
                index={item.index + 2}
                channel={line.channel}
                columns={columns}
                inHand={place?.channelId === line.id ? place.column : null}
                columnInHand={place?.column ?? null}
                tabStop={focusable?.channelId === line.id ? focusable.column : null}
                dense={dense}
                choose={setPlace}
              />
            );
          })}
          {below > 0 && <tr style={{ height: below }} />}
        </tbody>
      </table>
    </div>
  );
}

function Head({
  desk,
  plan,
  columns,
  counts,
  fleet,
  only,
  toggleVerdict,
  dense,
  setDense,
}: ReturnType<typeof useFitBoard>) {
  const all = only.size === VERDICTS.length;
  return (
    <div className="mb-3 flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
      <div>
        <h1 className="text-xl font-bold">Fit board</h1>
        <p className="muted text-plain">
          {counted(plan.channels.length, 'channel')} in {counted(columns.length, 'column')} for {fleet}
          {desk.computing && ', computing…'}
        </p>
      </div>
      <fieldset className="flex flex-wrap items-center gap-1.5" aria-label="Show rows that have">
        {VERDICTS.map((verdict) => (
          <button
            key={verdict}
            type="button"
            aria-pressed={!all && only.has(verdict)}
            title={`${VERDICT_TEXT[verdict].meaning} Press to show or hide rows with it.`}
            className={`btn btn-xs gap-1.5 ${only.has(verdict) ? 'btn-outline' : 'btn-ghost line-through'}`}
            onClick={() => toggleVerdict(verdict)}
          >
            <Shape verdict={verdict} size={13} />
            {VERDICT_TEXT[verdict].word}
            <span className="font-mono">{counts[verdict]}</span>
          </button>
        ))}
        <LabelledCheck isSwitch checked={dense} set={setDense} className="ml-2 text-sm">
          dense
        </LabelledCheck>
      </fieldset>
    </div>
  );
}

/** The choice of two devices to be held side by side. */
function Compare({
  allColumns,
  pair,
  setPair,
  placesToo,
  setPlacesToo,
  isCompared,
  rows,
  plan,
}: ReturnType<typeof useFitBoard>) {
  if (allColumns.length < 2) return null;
  const options = (without: string, none: string) =>
    [
      ['', none] as const,
      ...allColumns.filter(({ key }) => key !== without).map(({ key, title }) => [key, title] as const),
    ] as const;
  const differ = rows.reduce((sum, { channels }) => sum + channels.length, 0);
  return (
    <div className="mb-3 flex flex-wrap items-end gap-3">
      <LabelledSelect
        title="Hold side by side"
        value={pair[0]}
        options={options(pair[1], 'no two devices')}
        set={(key) => setPair([key, key === '' ? '' : pair[1]])}
        width="w-52"
      />
      {pair[0] !== '' && (
        <LabelledSelect
          title="and"
          value={pair[1]}
          options={options(pair[0], 'choose the second')}
          set={(key) => setPair([pair[0], key])}
          width="w-52"
        />
      )}
      {isCompared && (
        <>
          <LabelledCheck checked={placesToo} set={setPlacesToo} className="pb-1 text-plain">
            also another place or name
          </LabelledCheck>
          <p role="status" className="pb-1 text-plain">
            {differ === 0
              ? 'They do the same with every channel.'
              : `${differ} of ${counted(plan.channels.length, 'channel')} ${differ === 1 ? 'comes' : 'come'} out differently.`}
          </p>
        </>
      )}
    </div>
  );
}

function UnitFindings({ desk }: ReturnType<typeof useFitBoard>) {
  const spoken = desk.units.filter((unit) => (desk.board.unitFindings[unit.id] ?? []).length > 0);
  if (spoken.length === 0) return null;
  return (
    <section className="mt-4">
      <h2 className="font-semibold">About single devices</h2>
      <ul className="mt-1 grid gap-2 text-plain sm:grid-cols-2">
        {spoken.map((unit) => (
          <li key={unit.id}>
            <strong>{unit.nickname}</strong>
            <ul>
              {(desk.board.unitFindings[unit.id] ?? []).map((finding) => (
                <FindingItem key={finding.code} finding={finding} />
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}
