import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { LabelledText } from '../../ui/LabelledText';
import { call } from '../desk/api';
import { Fault } from '../SignIn/fields';
import { useSend } from './useSend';

/** Time codes of an authenticator as a second factor: set up, confirmed, switched off. */
export function SecondFactor({ on }: { on: boolean }) {
  const [offer, setOffer] = useState<{ secret: string; uri: string; svg: string } | null>(null);
  const [code, setCode] = useState('');
  const [password, setPassword] = useState('');
  const { fault, send } = useSend();
  return (
    <section className="space-y-2">
      <h2 className="font-bold">Codes as a second lock</h2>
      {on ? (
        <>
          <p>Signing in asks for a code from your authenticator.</p>
          <LabelledText
            title="Your password, to switch it off"
            type="password"
            value={password}
            set={setPassword}
            autoComplete="current-password"
          />
          <Button
            type="button"
            className="btn btn-outline btn-sm"
            isOff={!password}
            onClick={() =>
              void send(async () => {
                await call('DELETE /api/account/second-factor', {}, { password });
                window.location.reload();
              })
            }
          >
            Switch codes off
          </Button>
        </>
      ) : offer ? (
        <Form
          className="space-y-2"
          send={() => {
            void send(async () => {
              await call('PUT /api/account/second-factor', {}, { secret: offer.secret, code });
              window.location.reload();
            });
          }}
        >
          <p>Take this into your authenticator, then write the code it shows.</p>
          <img
            className="w-44 bg-white p-2"
            alt="The secret for an authenticator; it stands below as text"
            src={`data:image/svg+xml,${encodeURIComponent(offer.svg)}`}
          />
          <p className="break-all font-mono text-small">{offer.secret}</p>
          <LabelledText
            title="Code"
            value={code}
            set={setCode}
            autoComplete="one-time-code"
            inputMode="numeric"
          />
          <Button type="submit" className="btn btn-primary btn-sm" isOff={code.trim().length < 6}>
            Switch codes on
          </Button>
        </Form>
      ) : (
        <button
          type="button"
          className="btn btn-outline btn-sm"
          onClick={() =>
            void send(async () => setOffer(await call('POST /api/account/second-factor', {}, {})))
          }
        >
          Set up codes
        </button>
      )}
      <Fault text={fault} />
    </section>
  );
}
