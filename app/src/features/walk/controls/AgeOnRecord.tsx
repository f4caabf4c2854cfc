import { cataloguePoint, mainSlot, type JobAge } from '@weskopos/core';
import { Press } from '../../../kit/Press';
import { Words } from '../../../kit/Words';
import { lookChange, withReading } from '../../../visit/readings';
import { controls as say } from '@weskopos/words/en/pages/controls';
import { day, meterWords, roughMeter } from '@weskopos/words/show';
import type { ControlProps } from './control';

/** How old a thing is by the job on record: said, and taken with one tap where the age is all that is asked for. */
export function AgeOnRecord({ pointRef, background, put, phase }: ControlProps) {
  const age = background.history.jobAge(pointRef);
  if (!age) return null;
  const { meterUnit } = background.grading.vehicle;
  const point = cataloguePoint(pointRef.point);
  const { at, meter } = age.done;
  const told = [say.months(age.months), age.distance === null ? '' : roughMeter(age.distance, meterUnit)];
  // What the eye still has to judge is not passed by its age.
  const main = mainSlot(point)?.measure;
  const isFigure = main === undefined || main === 'part-age' || main === 'hours';
  const isAll = isFigure && (point.vocabulary === null || main !== undefined);
  return (
    <>
      <Words size="m" soft>
        {say.jobOnRecord(day(at), meter === null ? '' : meterWords(meter, meterUnit))}
      </Words>
      {isAll ? (
        <Press
          label={say.asOnRecord(told.filter(Boolean).join(', '))}
          onPress={() =>
            put(pointRef, (before) => lookChange(before, { readings: readingsOf(age, pointRef, before, phase) }))
          }
        />
      ) : (
        <Words size="m">{told.filter(Boolean).join(', ')}</Words>
      )}
    </>
  );
}

function readingsOf(
  { months, distance }: JobAge,
  { point }: ControlProps['pointRef'],
  before: ControlProps['finding'],
  phase: ControlProps['phase'],
) {
  const takes = (measure: string) => cataloguePoint(point).measures.some((slot) => slot.measure === measure);
  const slot = (measure: 'part-age' | 'age-distance' | 'hours') => ({ measure, spot: 'whole', phase }) as const;
  const aged = takes('part-age')
    ? withReading(before?.readings ?? [], slot('part-age'), months)
    : [...(before?.readings ?? [])];
  const by = takes('hours') ? 'hours' : takes('age-distance') ? 'age-distance' : null;
  return distance === null || by === null ? aged : withReading(aged, slot(by), distance);
}
