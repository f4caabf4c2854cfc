import { usePathname } from 'expo-router';
import { Page } from './Page';
import { vehicleOf } from './spine/vehiclePages';
import { Words } from '../kit/Words';
import { useIsComing } from '../sync/useLife';
import { shell as say } from '../words/en/pages/shell';

/** A vehicle or visit this device does not know; nothing as long as its life is still being read from the device's disk. */
export function NotHere() {
  const coming = useIsComing(vehicleOf(usePathname()) ?? '');
  if (coming) return null;
  return (
    <Page title={say.notOnThisDevice}>
      <Words>{say.thisVehicleOrVisitIs}</Words>
    </Page>
  );
}
