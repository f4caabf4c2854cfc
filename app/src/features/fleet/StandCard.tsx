import type { YardEntry } from '@weskopos/contract';
import { StyleSheet } from 'react-native';
import { Card } from '../../kit/Card';
import { FirstOf } from '../../kit/FirstOf';
import { GradeMark } from '../../kit/GradeMark';
import { LinkPress } from '../../kit/LinkPress';
import { SPACE, TOUCH } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { common } from '@weskopos/words/en/pages/common';
import { fleet as say } from '@weskopos/words/en/pages/fleet';
import { meterWords } from '@weskopos/words/show';
import { standingCounts } from '@weskopos/words/standingWords';
import { useYard } from '../yard/useYard';

const RANK = { fail: 0, advisory: 1 } as const;
const rankOf = ({ standing }: YardEntry) =>
  standing && (standing.grade === 'fail' || standing.grade === 'advisory') ? RANK[standing.grade] : 2;
const wants = (entry: YardEntry) => rankOf(entry) < 2 || Boolean(entry.standing?.boltsAgain);

/** Which vehicles stand with something unsettled, worst first, and whose wheel bolts come again. */
export function StandCard({ classOf }: { readonly classOf: string }) {
  const palette = usePalette();
  const entries = useYard()
    .filter((entry) => wants(entry) && (classOf === 'all' || entry.vehicle.class === classOf))
    .sort((a, b) => rankOf(a) - rankOf(b));
  return (
    <Card>
      <Heading level={2}>{say.howTheyStand}</Heading>
      {entries.length === 0 ? <Words soft>{say.nothingUnsettled}</Words> : null}
      <FirstOf items={entries} keyOf={({ vehicle }) => vehicle.id} height={TOUCH.least}>
        {({ vehicle, standing }) => {
          const bolts = standing?.boltsAgain;
          return (
            <LinkPress href={`/vehicle/${vehicle.id}`} style={[styles.row, { borderColor: palette.rule }]}>
              <GradeMark grade={standing?.grade ?? 'not-seen'} height={30} />
              <Words style={styles.grow}>
                <Words strong>{`${vehicle.fleetCode} `}</Words>
                {standing ? `${words.grade[standing.grade]}: ${standingCounts(standing)}` : ''}
                {bolts
                  ? `. ${common.wheelBoltsAgainTo(meterWords(bolts.fromKm, 'km'), meterWords(bolts.toKm, 'km'))}`
                  : ''}
              </Words>
            </LinkPress>
          );
        }}
      </FirstOf>
    </Card>
  );
}

const styles = StyleSheet.create({
  row: { minHeight: TOUCH.least, flexDirection: 'row', alignItems: 'center', gap: SPACE.s, borderTopWidth: 1 },
  grow: { flex: 1 },
});
