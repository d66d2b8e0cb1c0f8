/** The address by which somebody reached the server, as a proxy before it says. */
export function addressOf({ headers }: Request, url: URL): string {
  const protocol = headers.get('x-forwarded-proto') ?? url.protocol.replace(':', '');
  return `${protocol}://${headers.get('x-forwarded-host') ?? headers.get('host') ?? url.host}`;
}
