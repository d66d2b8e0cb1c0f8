import { MadeLink } from '../../components/MadeLink';
import { ROLES, type Role } from '../../contract/roles';
import { Invite } from './Invite';
import { MemberRow } from './MemberRow';
import type { useTeamDesk } from './useTeamDesk';

const ROLE_MEANS: Readonly<Record<Role, string>> = {
  coordinator: 'everything, and who may do what',
  editor: 'plans, devices, people, stations',
  member: 'the plan with its tones, and their own devices and sheets',
  observer: 'the plan, with secret tones masked',
};

/** Who may do what: the members and their roles, invitations and new passwords by link, and the mails nobody had to send. */
export function TeamDeskView(props: ReturnType<typeof useTeamDesk>) {
  const { members, people, outbox, link, make } = props;
  return (
    <div className="max-w-4xl space-y-6 px-5 py-4 max-md:px-3">
      <section>
        <h1 className="text-xl font-bold">Who may do what</h1>
        <ul className="mt-2">
          {members.map((member) => (
            <MemberRow key={member.accountId} member={member} {...props} />
          ))}
        </ul>
        <dl className="muted mt-2 text-small">
          {ROLES.map((role) => (
            <div key={role} className="flex gap-2">
              <dt className="w-24 shrink-0 font-semibold">{role}</dt>
              <dd>{ROLE_MEANS[role]}</dd>
            </div>
          ))}
        </dl>
      </section>
      <Invite people={people} make={make} />
      {link && (
        <MadeLink {...link} rule="Shown this once. Pass it on yourself; who has it can use it, once." />
      )}
      <section>
        <h2 className="font-bold">Outbox</h2>
        <p className="muted text-plain">
          Mails that a mail server would have sent. None is connected; nothing leaves this machine.
        </p>
        {outbox.length === 0 && <p>Empty.</p>}
        <ul>
          {outbox.map(({ id, recipient, subject, body, createdAt }) => (
            <li key={id} className="border-b border-base-300 py-1.5">
              <strong>{subject}</strong> to {recipient}{' '}
              <span className="muted">{createdAt.slice(0, 16).replace('T', ' ')} UTC</span>
              <span className="muted block break-all text-small">{body}</span>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}
