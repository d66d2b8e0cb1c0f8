import { guarded } from '../../ui/guarded';
import { call } from '../desk/api';

/** Ends this browser's session. */
function SignOutIsland() {
  const out = async () => {
    await call('DELETE /api/session', {});
    window.location.assign('/sign-in');
  };
  return (
    <button type="button" onClick={() => void out()}>
      Sign out
    </button>
  );
}

export const SignOut = guarded('SignOut', SignOutIsland);
