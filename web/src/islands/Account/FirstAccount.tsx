import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { fieldsOf } from '../../ui/fields';
import { guarded } from '../../ui/guarded';
import { LabelledText } from '../../ui/LabelledText';
import { call } from '../desk/api';
import { Fault, PASSWORD_HELP } from '../SignIn/fields';
import { useSend } from './useSend';

interface Props {
  /** It is not made at the server’s own machine: the word that stands there is asked for. */
  asksWord?: boolean;
  /** It is all of its page, which has its title already. */
  isAlone?: boolean;
}

/** The first account of a machine that was one’s own until then. */
function FirstAccountIsland({ asksWord = false, isAlone = false }: Props) {
  const [form, setForm] = useState({ workspaceName: '', name: '', login: '', password: '', word: '' });
  const { fault, send } = useSend();
  const set = (part: Partial<typeof form>) => setForm((now) => ({ ...now, ...part }));
  const field = fieldsOf(form, set);
  return (
    <Form
      className={isAlone ? 'space-y-3' : 'max-w-xl space-y-3 px-5 py-4 max-md:px-3'}
      send={() => {
        void send(async () => {
          await call('POST /api/accounts/first', {}, form);
          window.location.assign('/');
        });
      }}
    >
      {!isAlone && <h1 className="text-xl font-bold">The first account</h1>}
      <p className="max-w-prose">
        {asksWord
          ? 'Nobody has an account here yet. Who makes the first one may do everything, so it takes the word that was printed where the server was started.'
          : 'So far this is your own machine, and whoever sits at it may do everything. With an account you can invite others, give them roles, and let them in from elsewhere; from then on everybody signs in.'}
      </p>
      {asksWord && <LabelledText title="The word" {...field('word')} autoComplete="one-time-code" />}
      <LabelledText title="Name of your group" {...field('workspaceName')} />
      <LabelledText title="Your name" {...field('name')} autoComplete="name" />
      <LabelledText title="A name to sign in with" {...field('login')} autoComplete="username" />
      <LabelledText
        title="A password"
        type="password"
        {...field('password')}
        autoComplete="new-password"
        help={PASSWORD_HELP}
      />
      <Fault text={fault} />
      <Button
        type="submit"
        className="btn btn-primary btn-sm"
        isOff={Object.entries(form).some(([key, text]) => !text.trim() && (key !== 'word' || asksWord))}
      >
        Make the account
      </Button>
    </Form>
  );
}

export const FirstAccount = guarded('FirstAccount', FirstAccountIsland);
