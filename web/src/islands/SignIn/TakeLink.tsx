import { useState } from 'react';
import type { SentTo } from '../../contract/routes';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { guarded } from '../../ui/guarded';
import { LabelledText } from '../../ui/LabelledText';
import { call } from '../desk/api';
import { Fault, PASSWORD_HELP } from './fields';
import { accessFault } from './words';

/** What an invitation or a reset link asks for: a sign-in name for a new account, and a password. */
function TakeLinkIsland({
  token,
  name,
  isNew,
  me,
}: {
  token: string;
  name: string;
  isNew: boolean;
  /** Who is signed in here already, and may take an invitation as themselves. */
  me: string | null;
}) {
  const [login, setLogin] = useState('');
  const [shownName, setShownName] = useState(name);
  const [password, setPassword] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const account = () => ({ password, ...(isNew && { login: login.trim(), name: shownName.trim() }) });
  const take = async (body: SentTo<'POST /api/links/[token]'>) => {
    setBusy(true);
    setFault(null);
    try {
      await call('POST /api/links/[token]', { token }, body);
      window.location.assign('/');
    } catch (error) {
      setFault(accessFault(error));
      setBusy(false);
    }
  };
  return (
    <Form className="space-y-3" send={() => take(account())}>
      {isNew && me !== null && (
        <>
          <Button
            type="button"
            className="btn btn-primary btn-sm"
            isOff={busy}
            onClick={() => void take({ join: true })}
          >
            Join as {me}
          </Button>
          <p className="muted">Or make another account:</p>
        </>
      )}
      {isNew && (
        <>
          <LabelledText
            title="Your name, as others see it"
            value={shownName}
            set={setShownName}
            autoComplete="name"
          />
          <LabelledText title="A name to sign in with" value={login} set={setLogin} autoComplete="username" />
        </>
      )}
      <LabelledText
        title="A password"
        type="password"
        value={password}
        set={setPassword}
        autoComplete="new-password"
        help={PASSWORD_HELP}
      />
      <Fault text={fault} />
      <Button
        type="submit"
        className="btn btn-primary btn-sm"
        isOff={busy || !password || (isNew && !login.trim())}
      >
        {busy ? 'A moment…' : isNew ? 'Come in' : 'Set the password'}
      </Button>
    </Form>
  );
}

export const TakeLink = guarded('TakeLink', TakeLinkIsland);
