import { Page } from './Page';
import { Words } from '../kit/Words';

/** A vehicle or visit this device does not know. */
export function NotHere() {
  return (
    <Page title="Not on this device" back="/">
      <Words>
        This vehicle or visit is not known here. If it was added on another device, connect once and it appears in the
        yard.
      </Words>
    </Page>
  );
}
