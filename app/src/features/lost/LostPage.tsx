import { Page } from '../../shell/Page';
import { Words } from '../../kit/Words';
import { common } from '@weskopos/words/en/pages/common';

/** An address that leads nowhere: said plainly, with the way back. */
export function LostPage() {
  return (
    <Page title={common.nothingHere} over={common.addressLeadsNowhere}>
      <Words>{common.nothingIsLost}</Words>
    </Page>
  );
}
