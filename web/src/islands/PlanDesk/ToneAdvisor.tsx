import { talkers } from '@umbrex/core/fit';
import type { Channel, Description, Plan } from '@umbrex/core/model';
import { adviseTones, type Neighbour, shownOn, tonesOn } from '@umbrex/core/tones';
import { useMemo, useState } from 'react';
import { findingText } from '../../messages/findings';
import { toneWords } from '../../messages/tones';
import { Button } from '../../ui/Button';

interface Props {
  channel: Channel;
  plan: Plan;
  /** The kinds of device that the fleet has. */
  devices: readonly Description[];
  /** Stations around that a directory named. */
  neighbours: readonly Neighbour[];
  /** `null` where one may only read. */
  save: ((channel: Channel) => Promise<boolean>) | null;
}

/** Which tones fit this channel, best first, with what speaks for and against each, and what each device calls it. */
export function ToneAdvisor(props: Props) {
  const [open, setOpen] = useState(false);
  return (
    <details
      className="border-t border-base-300 pt-3"
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="muted cursor-pointer font-semibold">Which tone?</summary>
      {open && <Advice {...props} />}
    </details>
  );
}

function Advice({ channel, plan, devices: all, neighbours, save }: Props) {
  const devices = useMemo(() => talkers(channel, plan, all), [channel, plan, all]);
  const advice = useMemo(
    () => adviseTones(channel, plan, devices, neighbours),
    [channel, plan, devices, neighbours],
  );
  const taken = advice.excluded.filter(({ reason }) => reason.code === 'tone-used-nearby');
  const names = useMemo(
    () => devices.map((device) => ({ title: device.title, tones: tonesOn(device) })),
    [devices],
  );
  const use = (tone: string) => save?.({ ...channel, transmitTone: tone, receiveTone: tone });
  return (
    <div className="mt-2 space-y-3 text-plain">
      <p>{findingText(advice.policy.reason).what}</p>
      {advice.ranked.length === 0 ? (
        <p className="finding" data-severity="warning">
          No tone is on every device and free on this frequency.
        </p>
      ) : (
        <ol className="space-y-2">
          {advice.ranked.slice(0, 5).map(({ tone, reasons }) => (
            <li key={tone} className="flex items-start justify-between gap-2">
              <span>
                <strong className="font-mono">{toneWords(tone)}</strong>
                <span className="muted block text-small">
                  {names
                    .map(({ title, tones }) => `${title}: ${shownOn(tones, tone) ?? 'not known'}`)
                    .join(', ')}
                </span>
                {reasons.map((reason) => (
                  <span key={reason.code} className="block text-small">
                    {findingText(reason).what}
                  </span>
                ))}
              </span>
              {save && (
                <Button
                  type="button"
                  className="btn btn-outline btn-xs"
                  onClick={() => void use(tone)}
                  isOff={channel.transmitTone === tone && channel.receiveTone === tone}
                >
                  Use {tone}
                </Button>
              )}
            </li>
          ))}
        </ol>
      )}
      {taken.length > 0 && (
        <ul className="text-small">
          {taken.map(({ tone, reason }) => (
            <li key={tone}>
              Not <span className="font-mono">{toneWords(tone)}</span>: {findingText(reason).what}
            </li>
          ))}
        </ul>
      )}
      <p className="muted text-small">
        {advice.excluded.length} tones are left out: not on every device, or used on this frequency here or
        near by.
        {!advice.split.possible && ` Split tones will not do for: ${advice.split.not.join(', ')}.`}
        {advice.unknownDevices.length > 0 &&
          ` Nobody has written down the tones of: ${advice.unknownDevices.join(', ')}.`}
      </p>
    </div>
  );
}
