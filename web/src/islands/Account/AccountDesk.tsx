import { guarded } from '../../ui/guarded';
import { call } from '../desk/api';
import { FirstAccount } from './FirstAccount';
import { NewPassword } from './NewPassword';
import { SecondFactor } from './SecondFactor';
import { type AccountProps, Workspaces } from './Workspaces';

/** One's own account: the first one on this machine, a new password, the second factor, the sessions, the workspaces. */
function AccountDeskIsland({ signedIn, secondFactor, workspaces, mayStart }: AccountProps) {
  if (!signedIn) return <FirstAccount />;
  return (
    <div className="max-w-xl space-y-6 px-5 py-4 max-md:px-3">
      <h1 className="text-xl font-bold">Your account</h1>
      {(workspaces.length > 1 || mayStart) && <Workspaces workspaces={workspaces} mayStart={mayStart} />}
      <NewPassword />
      <SecondFactor on={secondFactor} />
      <section>
        <h2 className="font-bold">Sessions</h2>
        <p className="muted text-plain">Ends yours in every browser, this one too.</p>
        <button
          type="button"
          className="btn btn-outline btn-sm mt-2"
          onClick={() =>
            void call('DELETE /api/session/all', {}).then(() => window.location.assign('/sign-in'))
          }
        >
          Sign out everywhere
        </button>
      </section>
    </div>
  );
}

export const AccountDesk = guarded('AccountDesk', AccountDeskIsland);
