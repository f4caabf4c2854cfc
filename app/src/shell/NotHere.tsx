import { Page } from './Page';
import { Words } from '../kit/Words';
import { shell as say } from '../words/en/pages/shell';

/** A vehicle or visit this device does not know. */
export function NotHere() {
  return (
    <Page title={say.notOnThisDevice}>
      <Words>{say.thisVehicleOrVisitIs}</Words>
    </Page>
  );
}
