import type { Life } from '@weskopos/contract';
import { countedVisits, entriesOf, jobsOf, lastDone, oilUseGrade, standingEntries } from '@weskopos/core';
import { fuelUse } from '@weskopos/core/calculators/fuelUse';
import { oilUseSince } from '@weskopos/core/jobs/oilUsed';
import { Suspense, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { gradeColours, usePalette } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { words } from '../../words/en';
import { amount, day, meterWords } from '../../words/show';
import { EntryForm } from '../desk/lazyShapes';
import { entrySentence } from '../../words/entrySentence';
import { putEntry } from '../../visit/putEntry';
import { life as say } from '../../words/en/pages/life';

/** Lines shown before *all* is asked for. */
const MOST = 6;

interface LogCardProps {
  readonly life: Life;
  readonly lastMeter: number | null;
}

/** What happened between visits, newest first, each to be taken back; and what fuel and oil it used. */
export function LogCard({ life: { vehicle, visits, entries }, lastMeter }: LogCardProps) {
  const palette = usePalette();
  const [writing, setWriting] = useState(false);
  const [all, setAll] = useState(false);
  const standing = standingEntries(entries).reverse();
  const fills = entriesOf(standing, 'fuel').flatMap(({ meter, litres, full }) =>
    meter === null ? [] : [{ km: meter, litres, full }],
  );
  const used = vehicle.meterUnit === 'km' ? fuelUse(fills).at(-1) : undefined;
  const counted = countedVisits(visits);
  const changed = lastDone(jobsOf(counted, entries), { code: 'engine-oil', name: '' });
  const oil = vehicle.meterUnit === 'km' ? oilUseSince(counted, entries, vehicle.spec.stickSpanL, changed) : null;
  const grade = oil === null ? 'pass' : oilUseGrade(oil.per1000);
  return (
    <Card>
      <Heading level={2}>{say.betweenVisits}</Heading>
      {used ? (
        <Words>{say.usesLPer100Km(used.litresPer100Km.toFixed(1), meterWords(used.toKm - used.fromKm, 'km'))}</Words>
      ) : null}
      {oil !== null ? (
        <Words>
          {grade === 'advisory' || grade === 'fail' ? (
            <Words strong colour={gradeColours(palette, grade).line}>{`${words.grade[grade]}. `}</Words>
          ) : null}
          {say.oilUsedSinceThe[oil.by](amount('volume', oil.per1000))}
        </Words>
      ) : null}
      {standing.length === 0 ? <Words soft>{say.nothingWrittenDownYet}</Words> : null}
      {standing.slice(0, all ? undefined : MOST).map((entry) => (
        <View key={entry.id} style={[styles.row, { borderColor: palette.rule }]}>
          <Words size="m" style={styles.grow}>
            {`${day(entry.at)}${entry.meter === null ? '' : `, ${meterWords(entry.meter, vehicle.meterUnit)}`}: ${entrySentence(entry, vehicle)}`}
          </Words>
          <Press
            kind="quiet"
            label={say.takeBack}
            hint={say.takeBackEntry(entrySentence(entry, vehicle))}
            onPress={() => void putEntry({ vehicleId: vehicle.id, meter: null }, { kind: 'undo', refers: entry.id })}
          />
        </View>
      ))}
      {standing.length > MOST && !all ? (
        <Press label={say.allOf(standing.length)} onPress={() => setAll(true)} />
      ) : null}
      {writing ? (
        <Suspense fallback={null}>
          <EntryForm vehicle={vehicle} lastMeter={lastMeter} onDone={() => setWriting(false)} />
        </Suspense>
      ) : (
        <Press label={say.writeDownFuelATop} onPress={() => setWriting(true)} />
      )}
    </Card>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s, borderTopWidth: 1 },
  grow: { flex: 1 },
});
