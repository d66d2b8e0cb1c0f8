import {
  type Announcements,
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { kindOf } from '@umbrex/core/model';
import { mhzText } from '@umbrex/core/units';
import { useId } from 'react';
import { TakeInFile } from '../../components/TakeInFile';
import { counted } from '../../messages/labels';
import { Drawer } from '../../ui/Drawer';
import { Empty } from '../../ui/Empty';
import { FindField } from '../../ui/FindField';
import { later } from '../../ui/later';
import { useRows } from '../../ui/rows';
import { address } from '../desk/api';
import { savePlanHead } from '../desk/deskStore';
import { ChannelRow } from './ChannelRow';
import type { usePlanDesk } from './usePlanDesk';

/** All that can be said of a channel and of the plan: the list of channels does not wait for it. */
const ChannelDrawer = later(() => import('./ChannelDrawer').then((part) => part.ChannelDrawer), {
  fetch: 'soon',
});
const TableFiles = later(
  () => import('../TableImport/TableFiles').then((part) => part.TableFiles<'channel'>),
  {
    fetch: 'soon',
  },
);
const PlanForm = later(() => import('./PlanForm').then((part) => part.PlanForm), {
  fetch: 'soon',
  // As much room as it takes while its parts are shut.
  meanwhile: <div className="h-[36rem]" />,
});

const KIND_WORD = { repeater: 'repeater', direct: 'direct', listen: 'listen only' } as const;
const rowOf = (id: string) => `open-${id}`;

/** The plan: its channels as paths in groups on the left, details on the right. */
export function PlanDeskView(props: ReturnType<typeof usePlanDesk>) {
  const { plan, devices, fits, selected, select, move, nudge, remove, filter, setFilter, matches } = props;
  const dndId = useId();
  const rows = useRows<HTMLDivElement>();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const shown = plan.channels.filter(matches);
  const ordered = plan.groups.map((group) => ({
    group,
    channels: shown.filter((channel) => channel.groupId === group.id),
  }));
  return (
    <div className="lg:grid lg:grid-cols-[minmax(0,1fr)_22rem]">
      <div className="px-5 py-4 max-md:px-3">
        <div className="mb-2 flex flex-wrap items-baseline justify-between gap-3">
          <h1 className="text-xl font-bold">{plan.name}</h1>
          <FindField value={filter} set={setFilter} hint="name, MHz, wx 2" width="w-40" />
        </div>
        {plan.channels.length === 0 && <EmptyPlan />}
        {filter.trim() !== '' && props.looksThrough === 'plan' && (
          <p className="muted text-small" role="status">
            What services and older listings call their channels could not be fetched: only what the plan
            itself says is looked through. Once the server answers, load the page again.
          </p>
        )}
        {plan.channels.length > 0 && shown.length === 0 && props.looksThrough !== 'not yet' && (
          <p className="py-8">No channel has “{filter}” in its name, note, frequency or other names.</p>
        )}
        <div {...rows}>
          <DndContext
            id={dndId}
            sensors={sensors}
            collisionDetection={closestCenter}
            accessibility={{ announcements: announcing(plan.channels) }}
            onDragEnd={({ active, over }) => over && move(String(active.id), String(over.id))}
          >
            <SortableContext
              items={ordered.flatMap(({ channels }) => channels.map((channel) => channel.id))}
              strategy={verticalListSortingStrategy}
            >
              {ordered
                .filter(({ channels }) => channels.length > 0)
                .map(({ group, channels }) => (
                  <section key={group.id} className="mb-4" aria-labelledby={`group-${group.id}`}>
                    <h2 id={`group-${group.id}`} className="border-b border-base-content/40 pb-1 font-bold">
                      {group.name} <span className="muted ml-2 text-small font-normal">{group.note}</span>
                    </h2>
                    <ul>
                      {channels.map((channel) => (
                        <ChannelRow
                          key={channel.id}
                          channel={channel}
                          fit={fits.get(channel.id)}
                          selected={selected?.id === channel.id}
                          planPolicy={plan.receivePolicy}
                          select={select}
                          nudge={nudge}
                          mayEdit={props.desk.mayEdit}
                        />
                      ))}
                    </ul>
                  </section>
                ))}
            </SortableContext>
          </DndContext>
        </div>
      </div>
      <Drawer
        label="This plan"
        opened={
          selected && {
            key: selected.id,
            title: selected.name,
            sub: `${KIND_WORD[kindOf(selected)]}, ${mhzText(selected.receiveHz)} MHz`,
          }
        }
        rowId={rowOf}
        close={props.close}
      >
        {selected ? (
          <ChannelDrawer
            channel={selected}
            version={props.desk.channelVersions[selected.id] ?? 0}
            groups={plan.groups}
            fit={fits.get(selected.id)}
            plan={plan}
            devices={devices}
            neighbours={props.neighbours}
            people={props.people}
            today={props.today}
            keepers={props.desk.grounds}
            mayEdit={props.desk.mayEdit}
            nudge={nudge}
            remove={remove}
          />
        ) : (
          <ThisPlan {...props} />
        )}
      </Drawer>
    </div>
  );
}

function EmptyPlan() {
  return (
    <Empty>
      <p className="font-semibold">No channel yet.</p>
      <p className="mt-1">
        Write one in the line above as a listing says it, for example{' '}
        <code className="font-mono">Kelp Stairs 462.650 rpt in 131.8</code>, or bring in a plan file on the
        right.
      </p>
    </Empty>
  );
}

/** What is read aloud while a channel is moved: names, not ids. */
function announcing(channels: readonly { id: string; name: string }[]): Announcements {
  const nameOf = (id: string | number) => channels.find((channel) => channel.id === id)?.name ?? 'a channel';
  const where = (over: { id: string | number } | null) =>
    over ? `over ${nameOf(over.id)}` : 'over no place';
  return {
    onDragStart: ({ active }) => `${nameOf(active.id)} is picked up.`,
    onDragOver: ({ active, over }) => `${nameOf(active.id)} is ${where(over)}.`,
    onDragEnd: ({ active, over }) => `${nameOf(active.id)} is put down ${where(over)}.`,
    onDragCancel: ({ active }) => `${nameOf(active.id)} stays where it was.`,
  };
}

function ThisPlan({ plan, desk, importFile, importFindings, removePlan }: ReturnType<typeof usePlanDesk>) {
  return (
    <div className="space-y-5">
      <section>
        <h2 className="text-lg font-bold">This plan</h2>
        <p className="muted mb-3 text-plain">
          {counted(plan.channels.length, 'channel')}. Choose one to see its path, its devices and its details.
        </p>
        {desk.mayEdit && <PlanForm desk={desk} save={savePlanHead} />}
      </section>
      <section className="border-t border-base-300 pt-4">
        <h2 className="mb-2 font-bold">On paper, and as a file</h2>
        <p className="flex flex-wrap gap-2">
          <a className="btn btn-outline btn-sm" href={`/plans/${plan.id}/list`}>
            A list to print
          </a>
          <a
            className="btn btn-outline btn-sm"
            href={address('GET /api/plans/[planId]/export', { planId: plan.id })}
            download
          >
            Save as JSON
          </a>
          <a
            className="btn btn-outline btn-sm"
            href={address('GET /api/plans/[planId]/export', { planId: plan.id }, { public: '1' })}
            download
          >
            For the public, secret tones masked
          </a>
        </p>
        {desk.mayEdit && (
          <>
            <p className="mt-3 flex flex-wrap items-center gap-3">
              <TableFiles
                kind="channel"
                planId={plan.id}
                present={plan.channels}
                names={{ group: plan.groups }}
              />
            </p>
            <TakeInFile
              label="Bring in a plan file; it becomes a plan of its own"
              take={importFile}
              findings={importFindings}
            />
            <button type="button" className="btn btn-ghost btn-sm mt-3" onClick={() => void removePlan()}>
              Delete this plan
            </button>
          </>
        )}
      </section>
    </div>
  );
}
