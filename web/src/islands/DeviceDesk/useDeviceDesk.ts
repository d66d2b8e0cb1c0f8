import type { Finding } from '@umbrex/core/findings';
import type { Naming, Person, PlanHead, Unit } from '@umbrex/core/model';
import { useEffect, useMemo, useState } from 'react';
import type { Versioned } from '../../contract/things';
import { useAddress } from '../../ui/address';
import { call, failureText, newerOf, Refusal } from '../desk/api';
import { $notice } from '../desk/deskStore';
import { useHeld } from '../desk/useHeld';
import { usePlanHead } from '../desk/usePlanHead';

export interface HeldUnit {
  readonly unit: Unit;
  readonly version: number;
}
export interface Kind {
  readonly id: string;
  readonly title: string;
  readonly pattern: string;
  readonly firmware: readonly string[];
  readonly marks: number;
  /** Whether it sounds alerts, so that its weekly test must be heard. */
  readonly alerts: boolean;
  /** Whether a cell keeps its memory that has to be changed by years. */
  readonly memoryCell: boolean;
  /** Whether it is a repeater, which carries one pair of the plan. */
  readonly repeats: boolean;
  /** Whether its keys are described, were recorded once with a set in hand, or nobody has. */
  readonly steps: 'known' | 'recorded' | 'unknown';
  /** Its names are set by keys, so that whether they are is a choice. */
  readonly namesByKeys: boolean;
  /** Settings of the whole set whose keys are described, with the values each can take, and its own from the factory. */
  readonly settings: readonly { id: string; title: string; values: readonly string[]; factory: number }[];
  /** The tones its operator can pick by hand; `null` where the set has no such thing or nobody knows. */
  readonly pickedTones: readonly string[] | null;
}
export interface Initial {
  readonly planId: string;
  /** The plan's own part, with its version: it holds what the group wants set alike. */
  readonly head: PlanHead;
  readonly planVersion: number;
  readonly units: readonly HeldUnit[];
  readonly kinds: readonly Kind[];
  readonly people: readonly Person[];
  readonly teams: readonly { id: string; name: string }[];
  /** The channels of the plan that go through a repeater. */
  readonly pairs: readonly { id: string; name: string }[];
  readonly mayEdit: boolean;
  readonly today: string;
  /** Which set is open at first. */
  readonly first: string | null;
}

/** Settings of the whole set, by id: places in their lists. */
export type Settings = Readonly<Record<string, number>>;

/** Settings by kind with those of one kind put in; a kind without any is left out. */
function withSettings<T extends Record<string, Settings>>(all: T, kindId: string, settings: Settings) {
  const { [kindId]: _, ...others } = all;
  return Object.keys(settings).length === 0 ? others : { ...others, [kindId]: settings };
}

/** The state of the device list: adding, changing and removing units, and taking in descriptions. */
export function useDeviceDesk(initial: Initial) {
  const { people, teams, pairs, kinds } = initial;
  const names = useMemo(
    () => ({
      person: people,
      team: teams,
      channel: pairs,
      kind: kinds.map(({ id, title }) => ({ id, name: title })),
    }),
    [people, teams, pairs, kinds],
  );
  const { held, add, save, remove } = useHeld(
    'units',
    initial.units.map(({ unit, version }) => ({ value: unit, version })),
    { names },
  );
  const units = held.map(({ value, version }): HeldUnit => ({ unit: value, version }));
  const [editing, setEditing] = useState(initial.mayEdit ? initial.first : null);
  useAddress('set', editing);
  useEffect(() => {
    if (initial.first) document.getElementById(`unit-${initial.first}`)?.scrollIntoView({ block: 'center' });
  }, [initial.first]);
  const [importFindings, setImportFindings] = useState<readonly Finding[]>([]);
  /** A description came in, and something is to be said of it. */
  const [isTaken, setIsTaken] = useState(false);
  /** A description that came in for a kind that is there already, and how many sets are of it. */
  const [replacing, setReplacing] = useState<{
    readonly id: string;
    readonly title: string;
    readonly document: unknown;
    readonly version: number;
    readonly sets: number;
  } | null>(null);
  const saveAndClose = async (unit: Unit, version: number) => {
    const ok = await save(unit, version);
    if (ok) setEditing(null);
    return ok;
  };

  const { head, saveHead, saveCarried } = usePlanHead(initial.planId, {
    head: initial.head,
    version: initial.planVersion,
  });
  /**
   * Saves what the group wants set alike on a kind, for everybody or for one team or role; a setting that is left out stays as each
   * set has it, or as everybody has it.
   */
  const saveSetup = async (kind: Kind, roleId: string, settings: Settings) => {
    const { setup, roleSetup } = head;
    const { [roleId]: ofRole = {}, ...otherRoles } = roleSetup;
    const changed = withSettings(roleId === '' ? setup : ofRole, kind.id, settings);
    const role = initial.teams.find(({ id }) => id === roleId);
    const isEmpty = Object.keys(changed).length === 0;
    const next =
      roleId === ''
        ? { ...head, setup: changed }
        : { ...head, roleSetup: isEmpty ? otherRoles : { ...otherRoles, [roleId]: changed } };
    await saveHead(next, `The settings of every ${kind.title}${role ? ` of ${role.name}` : ''} are saved.`);
  };
  /** Saves whether names are written on a kind; `plan` as on all of them. */
  const saveNaming = async (kind: Kind, naming: Naming | 'plan') => {
    const { [kind.id]: _, ...others } = head.naming.kinds;
    const kinds = naming === 'plan' ? others : { ...others, [kind.id]: naming };
    await saveHead(
      { ...head, naming: { ...head.naming, kinds } },
      `What is said of names on every ${kind.title} is saved.`,
    );
  };

  const importDescription = async (file: File) => {
    setImportFindings([]);
    setIsTaken(false);
    setReplacing(null);
    let document: unknown;
    try {
      document = JSON.parse(await file.text());
      const { findings } = await call('POST /api/descriptions', {}, document);
      if (findings.length === 0) window.location.reload();
      setIsTaken(true);
      setImportFindings(findings);
    } catch (error) {
      const there = newerOf<Versioned<{ id: string; title: string } | null>>(error);
      if (error instanceof SyntaxError)
        setImportFindings([
          { code: 'document-not-json', severity: 'error', path: '', detail: error.message },
        ]);
      else if (error instanceof Refusal && error.findings.length > 0) setImportFindings(error.findings);
      else if (there) {
        const { version, value } = there.current;
        const { id, title } = value ?? (document as { id: string; title: string });
        const sets = units.filter(({ unit }) => unit.descriptionId === id).length;
        setReplacing({ id, title, document, version, sets });
      } else $notice.set({ text: failureText(error), kind: 'failed' });
    }
  };
  /** Puts the document in place of the kind of the same id. */
  const replace = async () => {
    if (!replacing) return;
    const { id, document, version } = replacing;
    try {
      const body = { version, description: document };
      const { findings } = await call('PUT /api/descriptions/[descriptionId]', { descriptionId: id }, body);
      if (findings.length === 0) window.location.reload();
      setReplacing(null);
      setIsTaken(true);
      setImportFindings(findings);
    } catch (error) {
      $notice.set({
        text: failureText(error, 'Somebody changed this kind meanwhile. Bring your file in once more.'),
        kind: 'failed',
      });
    }
  };
  return {
    ...initial,
    names,
    replacing,
    replace,
    keepOld: () => setReplacing(null),
    units,
    editing,
    setEditing,
    add,
    save: saveAndClose,
    remove: ({ unit, version }: HeldUnit) => remove({ value: unit, version }),
    wantedOn: (kind: Kind, roleId: string): Settings =>
      (roleId === '' ? head.setup : (head.roleSetup[roleId] ?? {}))[kind.id] ?? {},
    saveSetup,
    areaNames: head.areaNames,
    namingOn: (kind: Kind): Naming | 'plan' => head.naming.kinds[kind.id] ?? 'plan',
    saveNaming,
    carried: head.carried,
    saveCarried,
    importDescription,
    importFindings,
    isTaken,
  };
}
