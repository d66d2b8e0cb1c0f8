import { guarded } from '../../ui/guarded';
import { forgetTyped } from '../../ui/typed';
import { call } from '../desk/api';

/** Ends this browser's session. */
function SignOutIsland() {
  const out = async () => {
    await call('DELETE /api/session', {});
    forgetTyped();
    // What this browser kept for the phone is of whoever signs out.
    await (await import('../My/kept')).forgetSignedIn();
    await (await import('../desk/keptPage')).forgetPages();
    window.location.assign('/sign-in');
  };
  return (
    <button type="button" onClick={() => void out()}>
      Sign out
    </button>
  );
}

export const SignOut = guarded('SignOut', SignOutIsland);
