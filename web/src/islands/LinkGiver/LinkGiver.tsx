import { format } from 'date-fns';
import { useState } from 'react';
import { MadeLink } from '../../components/MadeLink';
import type { CardLink } from '../../contract/card';
import { dayText } from '../../messages/days';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { LabelledCheck } from '../../ui/LabelledCheck';
import { LabelledDay } from '../../ui/LabelledDay';
import { call } from '../desk/api';
import { useAttempt } from '../desk/useAttempt';

/** What a link that is given out is for. */
export type LinkFor =
  | { readonly kind: 'card'; readonly personId: string; readonly name: string }
  | { readonly kind: 'calendar' };

interface Props {
  readonly planId: string;
  readonly of: LinkFor;
  readonly links: readonly CardLink[];
  readonly today: string;
}

const WORDS = {
  card: {
    title: 'Their card on a phone',
    help: 'Their sets, channels and steps, by a link and without an account. Whoever has the link sees it.',
  },
  calendar: {
    title: 'A calendar that follows the group’s',
    help: 'Whoever has the address sees the nets, the bench days and what is due, with the names of people and sets in it.',
  },
} as const;

/** The usual end of a link: a year on, so that nobody looks at a card that was forgotten (common practice). */
const yearOn = (day: string) => `${Number(day.slice(0, 4)) + 1}${day.slice(4).replace('-02-29', '-02-28')}`;

/** The last day on which a link is good: it ends when that is over. */
const lastDay = ({ until }: CardLink) => format(new Date(Date.parse(until) - 1), 'yyyy-MM-dd');

/** Links that are given out without an account, to a card or a calendar: made, shown once, and taken back. */
export function LinkGiver({ planId, of, links, today }: Props) {
  const [own, setOwn] = useState(
    links.filter(
      ({ kind, personId }) => kind === of.kind && (of.kind !== 'card' || personId === of.personId),
    ),
  );
  const what = of.kind === 'card' ? `The card of ${of.name}` : 'The calendar of the group';
  const [until, setUntil] = useState(yearOn(today));
  const [hidesTones, setHides] = useState(false);
  const [made, setMade] = useState<{ path: string; svg: string } | null>(null);
  const { busy, attempt } = useAttempt('Somebody changed this meanwhile. Load the page again.');
  const make = () =>
    attempt(async () => {
      const { path, svg } = await call(
        'POST /api/team/links',
        {},
        of.kind === 'card'
          ? { kind: 'card', personId: of.personId, planId, until, hidesTones }
          : { kind: 'calendar', planId, name: 'Calendar', until },
      );
      setMade({ path, svg });
      return undefined;
    });
  const revoke = (id: string) =>
    attempt(async () => {
      await call('DELETE /api/team/links/[id]', { id });
      setOwn((now) => now.map((link) => (link.id === id ? { ...link, state: 'revoked' as const } : link)));
      return { text: `${what}: the link shows nothing any more.` };
    });
  return (
    <section className="mt-6 border-t border-base-300 pt-3" aria-label={what}>
      <h3 className="font-bold">{WORDS[of.kind].title}</h3>
      <p className="muted text-plain">{WORDS[of.kind].help}</p>
      <Form className="mt-2 space-y-2" send={() => make()}>
        <LabelledDay title="Good until the end of" value={until} set={setUntil} least={today} isNeeded />
        {of.kind === 'card' && (
          <LabelledCheck checked={hidesTones} set={setHides}>
            Without the tones that the group keeps to itself; then it has no steps that show them
          </LabelledCheck>
        )}
        <Button type="submit" className="btn btn-outline btn-sm" isOff={busy || until < today}>
          Make a link
        </Button>
      </Form>
      {made && (
        <div className="mt-3">
          <MadeLink
            {...made}
            what={what}
            rule="Shown this once. Pass it on yourself; it can be taken back here."
          />
        </div>
      )}
      {own.length > 0 && (
        <ul className="mt-3">
          {own.map((link) => (
            <li key={link.id} className="border-t border-base-300 py-1.5 text-plain">
              <span className={link.state === 'good' ? '' : 'muted'}>
                {
                  {
                    good: `Good until ${dayText(lastDay(link))}`,
                    over: `Over since ${dayText(lastDay(link))}`,
                    revoked: 'Taken back',
                  }[link.state]
                }
                {link.hidesTones && ', without secret tones'}.{' '}
                {link.seenAt === null
                  ? 'Nobody has opened it.'
                  : `Last opened ${dayText(link.seenAt.slice(0, 10))}.`}
              </span>{' '}
              {link.state === 'good' && (
                <Button
                  type="button"
                  className="btn btn-outline btn-xs"
                  isOff={busy}
                  aria-label={`Take back the link that was made ${dayText(link.createdAt.slice(0, 10))}`}
                  onClick={() => void revoke(link.id)}
                >
                  Take it back
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
