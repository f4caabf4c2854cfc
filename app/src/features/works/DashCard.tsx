import { countedVisits, jobsOf, type Job } from '@weskopos/core';
import { decodeDash } from '@weskopos/core/jobs/decodeDash';
import { lastDone } from '@weskopos/core/jobs/jobsOf';
import { isClosed, taskKey, worksOf } from '@weskopos/core/works/worksOf';
import { jobBeside, jobsMeant } from '@weskopos/words/dashWords';
import { dash as say } from '@weskopos/words/en/pages/dash';
import { capital, jobWords } from '@weskopos/words/show';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { putEntry } from '../../visit/putEntry';
import type { SheetProps } from '../sheet/VehiclePage';

interface DashCardProps extends SheetProps {
  readonly onDone: () => void;
}

/** What the dash asks for, read by the vehicle's table, with what history says beside it. */
export function DashCard({ life, sheet, onDone }: DashCardProps) {
  const { vehicle, visits, entries } = life;
  const [typed, setTyped] = useState('');
  const [written, setWritten] = useState<string>();
  const { meant, unknown } = decodeDash(typed, vehicle.spec.dashCodes);
  const done = jobsOf(countedVisits(visits), entries);
  const meter = sheet.stand?.meter ?? sheet.last?.inspection.meter ?? null;
  const open = new Set(
    worksOf(entries)
      .filter((work) => !isClosed(work))
      .map(({ task }) => taskKey(task)),
  );
  const write = async (job: Job) => {
    const task = { code: job.code, point: null, name: job.name, place: '' } as const;
    const rest = { reasons: [], from: null, to: null, minutes: null, parts: [], note: '' };
    await putEntry({ vehicleId: vehicle.id, meter: null }, { kind: 'work', task, urgency: 'next-visit', ...rest });
    setWritten(capital(jobWords(job)));
  };
  return (
    <Card>
      <Heading level={2}>{say.title}</Heading>
      <Words>{say.help}</Words>
      <Field label={say.code} value={typed} maxLength={40} onChangeText={setTyped} />
      {meant.map((one) => (
        <View key={one.code} style={styles.code}>
          <Words strong>{say.means(one.code, one.means)}</Words>
          {jobsMeant(one, vehicle.spec).map((job) => (
            <View key={`${job.code} ${job.name}`} style={styles.job}>
              <Words style={styles.grow}>
                {capital(jobBeside(job, lastDone(done, job), meter, vehicle.meterUnit))}
              </Words>
              {open.has(taskKey({ code: job.code, point: null, name: job.name, place: '' })) ? null : (
                <Press label={say.add(jobWords(job))} onPress={() => void write(job)} />
              )}
            </View>
          ))}
        </View>
      ))}
      {unknown ? <Words role="status">{say.notKnown(unknown)}</Words> : null}
      {written ? <Words role="status">{say.written(written)}</Words> : null}
      <Press label={say.leave} onPress={onDone} />
    </Card>
  );
}

const styles = StyleSheet.create({
  code: { gap: SPACE.xs },
  job: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: SPACE.s },
  grow: { flexGrow: 1, flexBasis: 180 },
});
