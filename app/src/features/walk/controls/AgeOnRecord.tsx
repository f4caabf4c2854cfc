import { cataloguePoint, mainSlot, type JobAge } from '@weskopos/core';
import { Press } from '../../../kit/Press';
import { Words } from '../../../kit/Words';
import { lookChange, withReading } from '../../../visit/readings';
import { controls as say } from '../../../words/en/pages/controls';
import { day, meterWords, roughMeter } from '../../../words/show';
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
  const isAll = point.vocabulary === null && (mainSlot(point) === null || mainSlot(point)?.measure === 'part-age');
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
  const aged = withReading(before?.readings ?? [], { measure: 'part-age', spot: 'whole', phase }, months);
  return distance === null || !takes('age-distance')
    ? aged
    : withReading(aged, { measure: 'age-distance', spot: 'whole', phase }, distance);
}
