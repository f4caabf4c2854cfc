import { BUNDLE_PATHS } from '@weskopos/contract/device';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { saveFrom } from '../../kit/saveFrom';
import { LinkButton } from '../../kit/LinkButton';
import { Heading, Words } from '../../kit/Words';
import { Page } from '../../shell/Page';
import { audit } from '@weskopos/words/en/pages/audit';
import { data as say } from '@weskopos/words/en/pages/data';
import { table } from '@weskopos/words/en/pages/table';
import { BackupCard } from './BackupCard';
import { BringIn } from './BringIn';
import { CheckSigned } from './CheckSigned';
import { TablesCard } from './TablesCard';
import { TokensCard } from './TokensCard';

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
      <Card>
        <Heading level={2}>{table.title}</Heading>
        <Words>{table.short}</Words>
        <LinkButton href="/data/table" label={table.link} />
      </Card>
      <CheckSigned />
      <BackupCard />
      <TokensCard />
      <Card>
        <Heading level={2}>{audit.title}</Heading>
        <Words>{audit.short}</Words>
        <LinkButton href="/data/audit" label={audit.open} />
      </Card>
    </Page>
  );
}
