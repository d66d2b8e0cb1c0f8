import { type ALERT_EVENT_KINDS, ALERT_EVENTS } from '@umbrex/core/facts';
import { type Alerts, AlertsSchema, type PlanHead } from '@umbrex/core/model';
import { useEffect, useState } from 'react';
import { LabelledCheck } from '../../ui/LabelledCheck';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import { AreaNames } from './AreaNames';
import { Transmitter } from './Transmitter';

interface Props {
  planId: string;
  alerts: PlanHead['alerts'];
  change: (alerts: PlanHead['alerts']) => void;
  names: PlanHead['areaNames'];
  changeNames: (names: PlanHead['areaNames']) => void;
  /** Whether what is written can be saved. */
  setGood: (isGood: boolean) => void;
}

const codesIn = (text: string) => text.split(/[\s,;]+/).filter(Boolean);
const NONE: Omit<Alerts, 'areas'> = { reach: 'list', weatherHz: 'unknown', silent: [] };

/** What the group's alert radios shall sound for: area codes, how far they listen, and the transmitter. Empty codes mean none are set up. */
export function AlertsForm({ planId, alerts, change, names, changeNames, setGood }: Props) {
  const [text, setText] = useState((alerts?.areas ?? []).join(', '));
  const { reach, weatherHz, silent } = alerts ?? NONE;
  const [isWrong, setWrong] = useState(false);
  const [known] = useState<ReadonlySet<string>>(() => new Set(alerts?.areas));
  const [isHeard, setHeard] = useState(true);
  // It begins with what is saved: whatever was wrong in the form before it is gone.
  useEffect(() => setGood(!isWrong && isHeard), [setGood, isWrong, isHeard]);
  const write = (next: string) => {
    setText(next);
    const areas = codesIn(next);
    const parsed = AlertsSchema.safeParse({ reach, weatherHz, silent, areas });
    const isGood = areas.length === 0 || parsed.success;
    setWrong(!isGood);
    if (isGood) change(parsed.success ? parsed.data : null);
  };
  return (
    <fieldset className="space-y-2">
      <legend className="muted text-small">Alert radios</legend>
      <LabelledText
        title="Area codes, the most important first"
        value={text}
        set={write}
        most={300}
        help="Six digits each, 0 and the county’s five; add the next county if you live near the line. Empty: no alert radios."
      />
      <AreaNames
        codes={codesIn(text)}
        names={names}
        name={(code, name) => {
          const { [code]: _, ...others } = names;
          changeNames(name.trim() === '' ? others : { ...others, [code]: name });
        }}
        add={(code) => write([...codesIn(text), code].join(', '))}
        mend={(code, meant) =>
          write(
            codesIn(text)
              .map((one) => (one === code ? meant : one))
              .join(', '),
          )
        }
      />
      <p className="text-small">
        <a className="link" href={`/plans/${planId}/reference`}>
          Look codes up in Reference
        </a>
      </p>
      {isWrong && (
        <p className="finding text-small" data-severity="error" role="alert">
          Each area code has six digits and is no frequency; at most 31 of them.
        </p>
      )}
      {alerts && (
        <>
          <LabelledSelect
            title="They sound for"
            value={reach}
            options={[
              ['one', 'the first area alone'],
              ['list', 'these areas'],
              ['everywhere', 'everything they hear'],
            ]}
            set={(next) => change({ ...alerts, reach: next })}
          />
          <Transmitter
            title="Weather transmitter heard here, MHz"
            areas={alerts.areas}
            known={known}
            weatherHz={weatherHz}
            set={(next) => change({ ...alerts, weatherHz: next })}
            setGood={setHeard}
          />
          <Silent silent={silent} set={(next) => change({ ...alerts, silent: next })} />
        </>
      )}
    </fieldset>
  );
}

const KIND_TITLE: Readonly<Record<(typeof ALERT_EVENT_KINDS)[number], string>> = {
  emergency: 'Emergencies',
  warning: 'Warnings',
  watch: 'Watches',
  statement: 'Statements',
  test: 'Tests',
  notice: 'Notices',
};
/** What is switched off first stands first: a warning or an emergency is the last thing anybody should silence. */
const KINDS = ['statement', 'watch', 'notice', 'test', 'warning', 'emergency'] as const;

/** The events for which sets need not sound, where they have a switch for it. */
function Silent({ silent, set }: { silent: Alerts['silent']; set: (silent: Alerts['silent']) => void }) {
  const toggle = (code: Alerts['silent'][number], isSilent: boolean) =>
    set(
      ALERT_EVENTS.flatMap((event) =>
        (event.code === code ? isSilent : silent.includes(event.code)) ? [event.code] : [],
      ),
    );
  return (
    <details>
      <summary className="cursor-pointer text-plain">
        {silent.length === 0 ? 'They sound for every event' : `They stay silent for ${silent.length} events`}
      </summary>
      <p className="muted mt-1 text-small">
        Tick what a set need not sound for, where it can be told so. Leave warnings and the weekly test on.
      </p>
      {KINDS.map((kind) => (
        <fieldset key={kind} className="mt-2">
          <legend className="muted text-small">{KIND_TITLE[kind]}</legend>
          {ALERT_EVENTS.filter((event) => event.kind === kind).map(({ code, name }) => (
            <LabelledCheck
              key={code}
              checked={silent.includes(code)}
              set={(isChecked) => toggle(code, isChecked)}
              className="py-0.5 text-plain"
            >
              {name}
            </LabelledCheck>
          ))}
        </fieldset>
      ))}
    </details>
  );
}
