import { BUNDLE_PATHS } from '@weskopos/contract/device';
import { StyleSheet } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { saveFrom } from '../../kit/saveFrom';
import { usePalette } from '../../kit/theme';
import { CORNER, SPACE, TOUCH } from '../../kit/tokens';
import { LinkPress } from '../../kit/LinkPress';
import { Heading, Label, Words } from '../../kit/Words';
import { Page } from '../../shell/Page';
import { audit } from '../../words/en/pages/audit';
import { data as say } from '../../words/en/pages/data';
import { table } from '../../words/en/pages/table';
import { BackupCard } from './BackupCard';
import { BringIn } from './BringIn';
import { CheckSigned } from './CheckSigned';
import { TablesCard } from './TablesCard';
import { TokensCard } from './TokensCard';

/** What goes out of the workshop, and what comes in. */
export function DataPage() {
  const palette = usePalette();
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
        <LinkPress href="/data/table" style={[styles.link, { borderColor: palette.rule }]}>
          <Label style={styles.centre}>{table.link}</Label>
        </LinkPress>
      </Card>
      <CheckSigned />
      <BackupCard />
      <TokensCard />
      <Card>
        <Heading level={2}>{audit.title}</Heading>
        <Words>{audit.short}</Words>
        <LinkPress href="/data/audit" style={[styles.link, { borderColor: palette.rule }]}>
          <Label style={styles.centre}>{audit.open}</Label>
        </LinkPress>
      </Card>
    </Page>
  );
}

const styles = StyleSheet.create({
  link: {
    minHeight: TOUCH.least,
    justifyContent: 'center',
    paddingHorizontal: SPACE.m,
    borderWidth: 1,
    borderRadius: CORNER.s,
  },
  centre: { textAlign: 'center' },
});
