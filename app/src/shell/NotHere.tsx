import { usePathname } from 'expo-router';
import { Page } from './Page';
import { vehicleOf } from './spine/vehiclePages';
import { useDeaf } from '../kit/useDeaf';
import { Words } from '../kit/Words';
import { useIsComing } from '../sync/useLife';
import { shell as say } from '@weskopos/words/en/pages/shell';

/** A vehicle or visit this device does not know. While its life is still read or fetched that is said, unless it is there at once. */
export function NotHere() {
  const id = vehicleOf(usePathname());
  const coming = useIsComing(id ?? '') && id !== null;
  // What is read from the device's disk is there before this is over.
  const early = useDeaf('coming');
  if (coming)
    return early ? null : (
      <Page title={say.oneMoment}>
        <Words role="status">{say.itsLifeIsFetched}</Words>
      </Page>
    );
  return (
    <Page title={say.notOnThisDevice}>
      <Words>{say.thisVehicleOrVisitIs}</Words>
    </Page>
  );
}
