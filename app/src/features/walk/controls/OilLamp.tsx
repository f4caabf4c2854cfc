import { gradePoint, readingAt } from '@weskopos/core';
import { Press } from '../../../kit/Press';
import { usePalette } from '../../../kit/theme';
import { Words } from '../../../kit/Words';
import { lookChange, withReading } from '../../../visit/readings';
import { controls as say } from '@weskopos/words/en/pages/controls';
import type { ControlProps } from './control';

/** From here on the lamp is said to stay on, s: the sheet's own limit says the same. */
const STAYS_ON_S = 10;

/** A lamp that does not go out is no figure to wait for: the engine is stopped first, then it is written down. */
export function OilLamp({ pointRef, finding, background, put, phase }: ControlProps) {
  const palette = usePalette();
  const slot = { measure: 'seconds', spot: 'whole', phase } as const;
  const stays = readingAt(finding, 'seconds', 'whole', phase)?.bound === 'over';
  const failed = gradePoint(pointRef, background.grading).computed === 'fail';
  return (
    <>
      <Press
        role="checkbox"
        label={say.staysOn}
        chosen={stays}
        onPress={() =>
          put(pointRef, (before) =>
            lookChange(before, {
              readings: withReading(before?.readings ?? [], slot, STAYS_ON_S, { bound: 'over' }),
              // It could not stay on of an engine that does not run, whatever was said of its state.
              outOf: [],
            }),
          )
        }
      />
      {stays || failed ? (
        <Words role="alert" strong colour={palette.fail}>
          {say.stopTheEngine}
        </Words>
      ) : null}
    </>
  );
}
