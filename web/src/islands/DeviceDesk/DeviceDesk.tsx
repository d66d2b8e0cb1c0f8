import { DeviceDeskView } from './DeviceDeskView';
import { type Initial, useDeviceDesk } from './useDeviceDesk';

export function DeviceDesk({ initial }: { initial: Initial }) {
  return <DeviceDeskView {...useDeviceDesk(initial)} />;
}
