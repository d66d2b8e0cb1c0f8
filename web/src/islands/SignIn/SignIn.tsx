import { useEffect, useState } from 'react';
import type { Role } from '../../contract/roles';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { guarded } from '../../ui/guarded';
import { LabelledText } from '../../ui/LabelledText';
import { forgetTyped } from '../../ui/typed';
import { call, Refusal } from '../desk/api';
import { Fault } from './fields';
import { accessFault } from './words';

/** The way in: name and password, a code where the account has one, and in the demo one click. */
function SignInIsland({
  to,
  demo,
}: {
  to: string;
  /** The demo's accounts, which one click opens; none elsewhere. */
  demo: readonly { role: Role; name: string }[];
}) {
  const [login, setLogin] = useState('');
  const [password, setPassword] = useState('');
  const [code, setCode] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  // A session that ended by itself left its words here.
  useEffect(forgetTyped, []);
  const attempt = async (signIn: () => Promise<unknown>) => {
    setBusy(true);
    setFault(null);
    try {
      await signIn();
      window.location.assign(to);
    } catch (error) {
      if (error instanceof Refusal && error.code === 'code-needed' && code === null) setCode('');
      else setFault(accessFault(error));
      setBusy(false);
    }
  };
  return (
    <div className="space-y-4">
      {demo.length > 0 && (
        <section className="space-y-2 rounded border border-base-300 bg-base-100 p-4">
          <h2 className="font-bold">The demo: come in as</h2>
          {demo.map(({ role, name }) => (
            <Button
              key={role}
              type="button"
              className="btn btn-outline btn-sm w-full justify-start"
              isOff={busy}
              onClick={() => void attempt(() => call('POST /api/session/demo', {}, { role }))}
            >
              {name}, {role}
            </Button>
          ))}
        </section>
      )}
      <Form
        className="space-y-3"
        send={() => {
          void attempt(() =>
            call('POST /api/session', {}, { login, password, ...(code !== null && { code }) }),
          );
        }}
      >
        <LabelledText title="Sign-in name" value={login} set={setLogin} autoComplete="username" />
        <LabelledText
          title="Password"
          type="password"
          value={password}
          set={setPassword}
          autoComplete="current-password"
        />
        {code !== null && (
          <LabelledText
            title="Code of six digits from your authenticator"
            value={code}
            set={setCode}
            autoComplete="one-time-code"
            inputMode="numeric"
          />
        )}
        <Fault text={fault} />
        <Button type="submit" className="btn btn-primary btn-sm" isOff={busy || !login || !password}>
          {busy ? 'Signing in…' : 'Sign in'}
        </Button>
      </Form>
    </div>
  );
}

export const SignIn = guarded('SignIn', SignInIsland);
