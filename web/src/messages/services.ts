import { SERVICE_TITLES } from '@umbrex/core/facts';

const SERVICE_NAMES: Readonly<Record<string, string>> = {
  ...SERVICE_TITLES,
  gmrs: 'GMRS',
  frs: 'FRS',
  murs: 'MURS',
  other: 'this service',
};
/** What people call a service. */
export function serviceWords(id: string): string {
  return SERVICE_NAMES[id] ?? id;
}
