import { CLOSE_CALL_FACTOR, type MeterUnit, type Series, type SeriesReading } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Label, Words } from '../../kit/Words';
import { amount, day, meterWords } from '@weskopos/words/show';
import { trend as say } from '@weskopos/words/en/pages/trend';
import { common } from '@weskopos/words/en/pages/common';

const COLUMNS = [say.date, common.meter, say.reading, ''] as const;

/** The chart's readings, newest first. */
interface TrendTableProps {
  readonly series: Series;
  readonly unit: MeterUnit;
  /** Says that a reading was not of the part: it stays on record and leaves the line. */
  readonly onMisread: (reading: SeriesReading) => void;
}

/** The readings of a trend as a table, the newest first; each can be called a misread. */
export function TrendTable({ series, unit, onMisread }: TrendTableProps) {
  const palette = usePalette();
  return (
    <View role="table" aria-label={say.readings}>
      <View role="row" style={styles.row}>
        {COLUMNS.map((column) => (
          <View role="columnheader" key={column} style={styles.cell}>
            <Label size="m" soft>
              {column}
            </Label>
          </View>
        ))}
      </View>
      {[...series.readings].reverse().map((reading) => (
        <View role="row" key={reading.inspectionId} style={[styles.row, { borderColor: palette.rule }]}>
          {[
            day(reading.at),
            meterWords(reading.meter, unit),
            `${amount(series.measure, reading.value)} ± ${(CLOSE_CALL_FACTOR * reading.u).toFixed(1)}${reading.startsPart ? say.newPart : ''}`,
          ].map((text, index) => (
            <View role="cell" key={index} style={styles.cell}>
              <Words size="m">{text}</Words>
            </View>
          ))}
          <View role="cell" style={styles.cell}>
            <Press
              kind="quiet"
              label={say.misread}
              hint={say.misreadOnLeaveItOut(day(reading.at))}
              onPress={() => onMisread(reading)}
            />
          </View>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', borderTopWidth: 1, borderColor: 'transparent', paddingVertical: SPACE.s },
  cell: { flex: 1 },
});
