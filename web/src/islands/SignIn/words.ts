import { failureText, Refusal } from '../desk/api';

/** Why signing in, or something like it, did not work. */
export function accessFault(error: unknown): string {
  if (!(error instanceof Refusal)) return failureText(error);
  switch (error.code) {
    case 'wrong-password':
      return 'The name or the password is not right.';
    case 'wrong-code':
      return 'The code is not right, or was used already. Wait for the next one.';
    case 'code-needed':
      return 'This account asks for a code as well.';
    case 'wrong-word':
      return 'That is not the word. It stands where the server was started.';
    case 'no-workspace':
      return 'This account belongs to no group any more. Ask a coordinator.';
    case 'too-often':
      return 'Too many tries. Wait a quarter of an hour, or ask your coordinator for a link.';
  }
  if (error.status === 404) return 'This link was used already, or is too old. Ask for a new one.';
  if (error.status === 409) return 'Somebody has this sign-in name already. Choose another.';
  const { detail, path } = (error.findings[0] ?? {}) as { detail?: string; path?: string };
  if (path === '/password') return `The password needs to be longer or less plain: ${detail}.`;
  if (path === '/login') return `The sign-in name: ${detail}.`;
  return failureText(error);
}
