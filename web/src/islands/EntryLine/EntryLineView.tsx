import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { later, NotFetched } from '../../ui/later';
import type { EntryGroup } from '../desk/entryGroup';
import type { useEntryLine } from './useEntryLine';

/** Asked for when somebody pastes a whole listing. */
const PasteDialog = later(() => import('./PasteDialog').then((part) => part.PasteDialog), { fetch: 'asked' });

type Props = ReturnType<typeof useEntryLine> & { groups: readonly EntryGroup[] };

/** The entry line with how it reads below it: the strip, the questions, what is assumed, and where it goes. */
export function EntryLineView(props: Props) {
  const { line, write, clear, add, open, setOpen, busy, reading, input } = props;
  return (
    <>
      <Form
        className="relative"
        send={() => add()}
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return;
          if (open) setOpen(false);
          else clear();
        }}
        onBlur={(event) => {
          if (!event.currentTarget.contains(event.relatedTarget)) setOpen(false);
        }}
      >
        <label className="flex items-center gap-3 rounded border border-base-content bg-base-100 px-3 py-2 focus-within:outline-3 focus-within:outline-primary">
          <span
            className="muted max-sm:hidden rounded border border-base-300 px-1.5 font-mono text-sm"
            aria-hidden="true"
          >
            /
          </span>
          <span className="sr-only">Entry line: write a channel as a listing says it</span>
          <input
            ref={input}
            className="w-full bg-transparent font-mono outline-none placeholder:text-secondary"
            value={line}
            onChange={(event) => write(event.target.value)}
            onPaste={props.paste}
            onFocus={() => setOpen(line.trim() !== '')}
            placeholder="a listing: Kelp Stairs 462.650 rpt in 131.8"
            autoComplete="off"
            autoCapitalize="off"
            spellCheck={false}
            enterKeyHint="done"
            aria-describedby="entry-reading"
          />
        </label>
        {open && (
          <div className="absolute inset-x-0 top-full z-30 mt-1 max-h-[70vh] overflow-auto rounded border border-base-content bg-base-100 p-4 shadow-lg [--strip-ground:var(--color-base-100)]">
            <div id="entry-reading" aria-live="polite">
              <Read {...props} />
            </div>
            <div className="mt-3 flex flex-wrap items-center gap-3">
              <Button type="submit" className="btn btn-primary btn-sm" isOff={reading?.ok === false || busy}>
                {busy ? 'Adding…' : 'Add to plan'}
              </Button>
              <button type="button" className="btn btn-ghost btn-sm" onClick={clear}>
                Clear
              </button>
              {reading?.ok && <span className="muted text-sm max-sm:hidden">Enter adds it.</span>}
              {props.kinds.length > 0 && (
                <LabelledSelect
                  title="Set in hand"
                  at="beside"
                  className="ml-auto max-sm:ml-0"
                  value={props.kindId}
                  options={[
                    ['', 'none: numbers are a service’s'],
                    ...props.kinds.map(({ id, title }) => [id, title] as const),
                  ]}
                  set={props.setKindId}
                  width="w-60"
                />
              )}
            </div>
          </div>
        )}
      </Form>
      {props.pasted !== null && (
        <PasteDialog
          text={props.pasted}
          planId={props.planId}
          country={props.country}
          groups={props.groups}
          close={props.closePaste}
        />
      )}
    </>
  );
}

/** How the line reads, once what reads lines is here. */
function Read({ reader, reading, groups, groupId, setGroupId, take }: Props) {
  if (reader === 'failed') return <NotFetched />;
  if (reader === undefined || reading === null) return <p className="muted text-sm">Reading…</p>;
  return (
    <reader.Reading reading={reading} groups={groups} groupId={groupId} setGroupId={setGroupId} take={take} />
  );
}
