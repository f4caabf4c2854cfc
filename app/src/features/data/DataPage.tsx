import { BUNDLE_PATHS } from '@weskopos/contract/device';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { saveFrom } from '../../kit/saveFrom';
import { Heading, Words } from '../../kit/Words';
import { Page } from '../../shell/Page';
import { data as say } from '../../words/en/pages/data';
import { BackupCard } from './BackupCard';
import { BringIn } from './BringIn';
import { CheckSigned } from './CheckSigned';
import { TablesCard } from './TablesCard';

/** What goes out of the workshop, and what comes in. */
export function DataPage() {
  return (
    <Page title={say.title}>
      <Card>
        <Heading level={2}>{say.out}</Heading>
        <Words>{say.wholeHelp}</Words>
        <Press label={say.whole} onPress={() => saveFrom(BUNDLE_PATHS.workshop)} />
      </Card>
      <TablesCard />
      <BringIn />
      <CheckSigned />
      <BackupCard />
    </Page>
  );
}
