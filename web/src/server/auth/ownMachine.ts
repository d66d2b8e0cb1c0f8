import type { APIContext } from 'astro';

/** The names by which a machine calls itself; any other name may be pointed here by whoever owns it. */
const OWN_NAME = /^(?:localhost|127(?:\.\d{1,3}){3}|\[::1\])$/i;
const OWN_ADDRESS = /^(?:127(?:\.\d{1,3}){3}|::1|::ffff:127(?:\.\d{1,3}){3})$/;
/** What proxies add to the requests that they pass on; `server.mjs` adds the last one to a request of the old protocol, which browsers never send. */
const OF_PROXIES =
  /^(?:x-forwarded-.+|forwarded|via|x-real-ip|x-client-ip|x-cluster-client-ip|true-client-ip|cf-.+|x-umbrex-http10)$/;

/**
 * Whether a request was made at this very machine: from its own address, to one of its own names, by no page of another name, and
 * passed on by nobody.
 */
export function isOwnMachine({
  request: { headers },
  clientAddress,
}: Pick<APIContext, 'request' | 'clientAddress'>): boolean {
  if (!OWN_ADDRESS.test(clientAddress)) return false;
  if ([...headers.keys()].some((name) => OF_PROXIES.test(name))) return false;
  const host = headers.get('host');
  if (host === null || !isOwnName(`http://${host}`)) return false;
  const origin = headers.get('origin');
  return origin === null || isOwnName(origin);
}

function isOwnName(address: string): boolean {
  return URL.canParse(address) && OWN_NAME.test(new URL(address).hostname);
}
