import { useState } from 'react';
import { type Packed, unpack } from '../desk/packed';
import { DeviceDeskView } from './DeviceDeskView';
import { type Initial, useDeviceDesk } from './useDeviceDesk';

export function DeviceDesk({ initial }: { initial: Packed<Initial> }) {
  const [desk] = useState(() => unpack(initial));
  return <DeviceDeskView {...useDeviceDesk(desk)} />;
}
