import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { LabelledText } from '../../ui/LabelledText';
import { call } from '../desk/api';
import { $notice } from '../desk/deskStore';
import { Fault, PASSWORD_HELP } from '../SignIn/fields';
import { useSend } from './useSend';

/** A new password, by the old one. */
export function NewPassword() {
  const [form, setForm] = useState({ old: '', password: '' });
  const { fault, send } = useSend();
  return (
    <Form
      className="space-y-2"
      send={() => {
        void send(async () => {
          await call('PUT /api/account/password', {}, form);
          setForm({ old: '', password: '' });
          $notice.set({ text: 'The password is changed. Other sessions have ended.', kind: 'done' });
        });
      }}
    >
      <h2 className="font-bold">Password</h2>
      <LabelledText
        title="The one now"
        type="password"
        value={form.old}
        set={(old) => setForm({ ...form, old })}
        autoComplete="current-password"
      />
      <LabelledText
        title="A new one"
        type="password"
        value={form.password}
        set={(password) => setForm({ ...form, password })}
        autoComplete="new-password"
        help={PASSWORD_HELP}
      />
      <Fault text={fault} />
      <Button type="submit" className="btn btn-outline btn-sm" isOff={!form.old || !form.password}>
        Change the password
      </Button>
    </Form>
  );
}
