import {
  partOfPoint,
  lastFigure,
  peersRate,
  standingEntries,
  valueThresholds,
  type FleetKnowledge,
  type LifeEntry,
  type SeriesReading,
  type RunOut,
  type Rules,
  type Vehicle,
} from '@weskopos/core';
import { useState } from 'react';
import { View, StyleSheet } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { Saveable } from '../../kit/Saveable';
import { SPACE } from '../../kit/tokens';
import { Heading, Label, Words } from '../../kit/Words';
import { forecastSentence, lookAgainSentence, rateWords } from '@weskopos/words/forecastSentence';
import { day, pointWords } from '@weskopos/words/show';
import { entrySentence } from '@weskopos/words/entrySentence';
import { putEntry } from '../../visit/putEntry';
import { TrendChart } from '../charts/lazyCharts';
import { fileName } from './fileName';
import { trendRows } from './trendRows';
import { TrendTable } from './TrendTable';
import { trend as say } from '@weskopos/words/en/pages/trend';

interface TrendPanelProps {
  readonly vehicle: Vehicle;
  readonly trend: RunOut;
  readonly rules: Rules;
  readonly entries: readonly LifeEntry[];
  readonly fleet: FleetKnowledge;
}

/** One series: the drawing, or the same as a table; and what it means in a sentence. */
export function TrendPanel({ vehicle, trend: { series, forecast, limit }, rules, entries, fleet }: TrendPanelProps) {
  const [table, setTable] = useState(false);
  const title = pointWords(series.point, series.place, vehicle, series.spot);
  const rate = rateWords(forecast, series.measure, vehicle.meterUnit);
  // What happened to the part that sits here: it explains the line.
  const notes = standingEntries(entries).filter(
    (entry) =>
      (entry.kind === 'fit' && entry.place === series.place && entry.what === partOfPoint(series.point)) ||
      (entry.kind === 'rotate' && partOfPoint(series.point) === 'tyre') ||
      (entry.kind === 'misread' && entry.point === series.point && entry.place === series.place),
  );
  const misread = ({ inspectionId, at, meter }: SeriesReading) => {
    const { point, place, spot } = series;
    return putEntry({ vehicleId: vehicle.id, meter, at }, { kind: 'misread', inspectionId, point, place, spot });
  };
  const again = lookAgainSentence(forecast);
  return (
    <View style={styles.panel}>
      <View style={styles.head}>
        <Heading level={2} style={styles.grow}>
          {title}
        </Heading>
        <Press label={table ? say.asADrawing : say.asATable} onPress={() => setTable(!table)} />
      </View>
      <Card>
        {table ? (
          <TrendTable series={series} unit={vehicle.meterUnit} onMisread={(reading) => void misread(reading)} />
        ) : (
          <Saveable name={fileName(vehicle, title)} rows={() => trendRows(series, vehicle)}>
            <TrendChart
              series={series}
              forecast={forecast}
              thresholds={valueThresholds(rules.sheet, series.measure, series.point, series.place, {
                vehicle,
                house: rules.house,
                at: series.readings.at(-1)?.at ?? '',
              })}
              unit={vehicle.meterUnit}
              peers={peersRate(vehicle, series, fleet, lastFigure(series) ?? 0)}
              title={title}
            />
          </Saveable>
        )}
      </Card>
      <Card>
        {rate ? <Label size="h3">{rate}</Label> : null}
        <Words>{forecastSentence(forecast, series.measure, limit, vehicle.meterUnit)}</Words>
        {again ? <Words strong>{again}</Words> : null}
        {notes.map((note) => (
          <Words key={note.id} size="m" soft>
            {`${day(note.at)}: ${entrySentence(note, vehicle, [])}`}
          </Words>
        ))}
        <Words size="s" soft>
          {say.fromThisPartsOwnReadings}
        </Words>
      </Card>
    </View>
  );
}

const styles = StyleSheet.create({
  panel: { gap: SPACE.m },
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1 },
});
