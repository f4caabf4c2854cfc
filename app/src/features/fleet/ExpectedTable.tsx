import { expectedParts } from '@weskopos/core/outlook';
import { addMonths } from 'date-fns/addMonths';
import { startOfMonth } from 'date-fns/startOfMonth';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Heading, Label, Words } from '../../kit/Words';
import { today, type FleetPart } from '../charts/fleetPart';
import { oneOfEachSet, wantedName } from './orderLines';
import { fleet as say } from '@weskopos/words/en/pages/fleet';
import { common } from '@weskopos/words/en/pages/common';
import { dateWords } from '@weskopos/words/show';

const MONTHS = 6;
/** Less than this is not worth a figure. */
const LEAST = 0.05;

/** What to order: parts expected by month, with how far that may stray. */
export function ExpectedTable({ parts }: { readonly parts: readonly FleetPart[] }) {
  const palette = usePalette();
  const start = startOfMonth(new Date(today()));
  const edges = Array.from({ length: MONTHS }, (_, month) => addMonths(start, month + 1));
  const wanted = oneOfEachSet(parts).flatMap((part) =>
    part.days
      ? [
          {
            name: wantedName(part),
            at: part.at,
            days: part.status === 'reached' ? { low: 0, mid: 0, high: 0 } : part.days,
          },
        ]
      : [],
  );
  const expected = expectedParts(
    wanted,
    edges.map((edge) => edge.toISOString()),
  );
  return (
    <Card>
      <Heading level={2}>{say.partsToExpect}</Heading>
      <View role="table" aria-label={say.partsToExpectByMonth}>
        <View role="row" style={styles.row}>
          <View role="columnheader" style={styles.name}>
            <Label size="m" soft>
              {common.part}
            </Label>
          </View>
          {edges.map((edge, month) => (
            <View role="columnheader" key={edge.getTime()} style={styles.cell}>
              <Label size="m" soft>
                {dateWords(addMonths(start, month), 'month')}
              </Label>
            </View>
          ))}
        </View>
        {expected.map(({ name, counts }) => (
          <View role="row" key={name} style={[styles.row, { borderColor: palette.rule }]}>
            <View role="cell" style={styles.name}>
              <Words size="m">{name}</Words>
            </View>
            {counts.map(({ mean, sigma }, month) => (
              <View role="cell" key={month} style={styles.cell}>
                <Words size="m" soft={mean < LEAST}>
                  {mean < LEAST ? '–' : mean.toFixed(1)}
                </Words>
                {mean < LEAST ? null : <Words size="s" soft>{`±${sigma.toFixed(1)}`}</Words>}
              </View>
            ))}
          </View>
        ))}
      </View>
      <Words size="s" soft>
        {say.expectedNumberAndItsSpread}
      </Words>
    </Card>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    borderTopWidth: 1,
    borderColor: 'transparent',
    paddingVertical: SPACE.xs,
    gap: SPACE.xs,
  },
  name: { flex: 3 },
  cell: { flex: 1.4 },
});
