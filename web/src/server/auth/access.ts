import type { Role } from '../../contract/roles';
import { ROUTES } from '../../contract/routes';

/**
 * The role that each page and endpoint needs; `anyone` takes no session. Pages have theirs here, endpoints in their contract: what has none
 * is refused. A test walks every route with every role.
 */
export const ACCESS: Readonly<Record<string, Role | 'anyone'>> = {
  'GET /404': 'anyone',
  'GET /500': 'anyone',
  'GET /unreachable': 'anyone',
  'GET /forbidden': 'anyone',
  'GET /sign-in': 'anyone',
  'GET /first': 'anyone',
  'GET /link/[token]': 'anyone',
  'GET /my': 'member',
  'GET /my/[token]': 'anyone',
  'GET /': 'observer',
  'GET /mend': 'observer',
  'GET /kit': 'observer',
  'GET /plans/[planId]': 'observer',
  'GET /plans/[planId]/check': 'observer',
  'GET /plans/[planId]/directory': 'editor',
  'GET /plans/[planId]/devices': 'member',
  'GET /plans/[planId]/devices/[unitId]': 'member',
  'GET /plans/[planId]/describe': 'editor',
  'GET /plans/[planId]/steps/[descriptionId]': 'editor',
  'GET /plans/[planId]/fit': 'member',
  'GET /plans/[planId]/numbers': 'editor',
  'GET /plans/[planId]/reference': 'observer',
  'GET /plans/[planId]/account': 'observer',
  'GET /plans/[planId]/history': 'editor',
  'GET /plans/[planId]/list': 'observer',
  'GET /plans/[planId]/map': 'observer',
  'GET /plans/[planId]/nets': 'observer',
  'GET /plans/[planId]/people': 'editor',
  'GET /plans/[planId]/stations': 'observer',
  'GET /plans/[planId]/team': 'coordinator',
  'GET /plans/[planId]/plans': 'observer',
  'GET /plans/[planId]/today': 'observer',
  'GET /plans/[planId]/revisions': 'member',
  'GET /plans/[planId]/revisions/compare': 'member',
  'GET /plans/[planId]/rollout': 'member',
  'GET /plans/[planId]/air': 'editor',
  'GET /plans/[planId]/air/log': 'editor',
  'GET /plans/[planId]/air/common': 'editor',
  'GET /plans/[planId]/air/scan': 'editor',
  'GET /plans/[planId]/air/trouble': 'editor',
  'GET /plans/[planId]/bench': 'editor',
  'GET /plans/[planId]/bench/[dayId]': 'editor',
  'GET /plans/[planId]/sheets': 'member',
  'GET /plans/[planId]/sheets/[unitId]': 'member',
  ...Object.fromEntries(Object.entries(ROUTES).map(([name, { role }]) => [name, role])),
};

const BY_PATTERN = new Map(Object.entries(ACCESS).map(([route, role]) => [route.toLowerCase(), role]));

/** The role a route needs; `undefined` where nobody wrote one, which is nobody's. A HEAD is a GET. */
export function neededRole(method: string, pattern: string): Role | 'anyone' | undefined {
  const verb = method === 'HEAD' ? 'GET' : method;
  return BY_PATTERN.get(`${verb} ${pattern}`.toLowerCase());
}
