import { pathToFileURL } from 'node:url';
import { SERVICE_IDS } from '@umbrex/core/facts';
import { common, hear } from './air';
import { bench } from './bench';
import { between } from './between';
import { advise, check, memory, number, onPlan, provePatterns } from './plans';
import { type Outcome, UsageError } from './read';
import { scan } from './scan';
import { channel, rules, service, tone } from './tables';

const USAGE = `usage:
  umbrex tone "<text>"                        read a tone
  umbrex channel "<text>" [--device <file>]   read a line as a channel; with a device its own labels are its places
  umbrex fit <plan.json> [--device <file>]…   what each device can do with the plan
  umbrex prove <plan.json> [--device <file>]… write each device's sheet and replay it
  umbrex prove <plan.json> [--device <file>]… --from unknown
                                              the same for sets that nobody has looked at
  umbrex prove --all [<plan.json>]            the same for every shipped pattern, on a plan or the demo's
  umbrex number <plan.json> --fleet <units.json> [--device <file>]…
                                              one number for each channel across a fleet, with its proof
  umbrex memory <plan.json> --device <file>   what that set's memory shall hold, for a program that loads it
  umbrex compare <plan.json> --device <file> --read <memory.json>
                                              what a set holds that was read back, against what it shall
  umbrex diff <old.json> <new.json>           what differs between two states of a plan
  umbrex change <old.json> <new.json> [--device <file>]…
                                              what it takes to bring sets that hold the old state to the new one
  umbrex hear <plan.json> --fleet <units.json> --channel <name> [--stations <file>] [--people <file>] [--on <day>] [--as planned|held] [--device <file>]…
                                              who hears whom on a channel, and where a call stops
  umbrex common <plan.json> --fleet <units.json> --sets "<unit id or kind:description id>,…" [--stations <file>] [--people <file>] [--on <day>] [--device <file>]…
                                              on which channel and tones some sets meet, with the fewest changes
  umbrex scan <plan.json> --device <file> --call <seconds>
                                              how long a scan’s round takes, and the chance to miss one call of that length
  umbrex bench <job.json>                     who loads which set when, with a proven bound
  umbrex check <plan.json>                    what is wrong with a plan, before anybody programs it
  umbrex advise <plan.json> --channel <name> [--device <file>]…
                                              which tones fit a channel, best first, and why
  umbrex service <id>                         a service's table (${SERVICE_IDS.join(', ')})
  umbrex rules --service <id> --channel <number> --device <file> [--pair] [--licence <service>[:own|family|employer[:<last day>]]]… [--today <day>]
                                              what a person may do there with that device
JSON on standard output. Exit 0: fine, 1: findings or questions that stop, 2: this text.`;

/** Runs one command. @throws UsageError for words it does not know */
function run(words: readonly string[]): Outcome {
  const [command, subject, ...rest] = words;
  if (command === 'rules') return rules(words.slice(1));
  if (command === undefined || subject === undefined) throw new UsageError();
  switch (command) {
    case 'tone':
      return tone(onlySubject(subject, rest));
    case 'channel':
      return channel(subject, rest);
    case 'advise':
      return advise(subject, rest);
    case 'memory':
    case 'compare':
      return memory(command, subject, rest);
    case 'number':
      return number(subject, rest);
    case 'hear':
      return hear(subject, rest);
    case 'common':
      return common(subject, rest);
    case 'scan':
      return scan(subject, rest);
    case 'bench':
      return bench(onlySubject(subject, rest));
    case 'diff':
    case 'change':
      return between(command, subject, rest);
    case 'check':
      return check(onlySubject(subject, rest));
    case 'service':
      return service(onlySubject(subject, rest));
    case 'prove':
      if (subject === '--all') return provePatterns(rest);
      return onPlan(command, subject, rest);
    case 'fit':
      return onPlan(command, subject, rest);
    default:
      throw new UsageError();
  }
}

function onlySubject(subject: string, rest: readonly string[]): string {
  if (rest.length > 0) throw new UsageError();
  return subject;
}

/** What a run of the command line says, and the code it ends with: 0 fine, 1 findings or questions, 2 words it does not know. */
export interface Said {
  readonly exit: 0 | 1 | 2;
  readonly out: string;
  readonly err: string;
}

/** Runs one command as a user gives it, up to what stands on the screen afterwards. */
export function said(words: readonly string[]): Said {
  try {
    const { json, ok } = run(words);
    return { exit: ok ? 0 : 1, out: `${JSON.stringify(json, null, 2)}\n`, err: '' };
  } catch (error) {
    if (!(error instanceof UsageError)) throw error;
    return { exit: 2, out: '', err: `${USAGE}\n` };
  }
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  const { exit, out, err } = said(process.argv.slice(2));
  process.stdout.write(out);
  process.stderr.write(err);
  process.exitCode = exit;
}
