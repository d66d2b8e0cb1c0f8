import { useState } from 'react';
import { guarded } from '../../ui/guarded';
import { type Packed, unpack } from '../desk/packed';
import { DeviceDeskView } from './DeviceDeskView';
import { type Initial, useDeviceDesk } from './useDeviceDesk';

function DeviceDeskIsland({ initial }: { initial: Packed<Initial> }) {
  const [desk] = useState(() => unpack(initial));
  return <DeviceDeskView {...useDeviceDesk(desk)} />;
}

export const DeviceDesk = guarded('DeviceDesk', DeviceDeskIsland);
