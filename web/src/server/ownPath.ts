/** A path of ours out of an address that came from elsewhere: what leads away, or is none, leads home. */
export function ownPath(wanted: string | null): string {
  const home = 'http://home.invalid';
  // Read as a browser reads it: tabs and line ends go, and a backslash is a slash.
  if (wanted === null || !URL.canParse(wanted, home)) return '/';
  const { origin, pathname, search, hash } = new URL(wanted, home);
  // A path of two slashes would be read as another machine once it stands alone.
  return origin === home && !pathname.startsWith('//') ? `${pathname}${search}${hash}` : '/';
}
