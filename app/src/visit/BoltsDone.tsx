import { NO_DETAILS } from '@weskopos/core/parts/lifeEntry';
import { Press } from '../kit/Press';
import { visit as say } from '@weskopos/words/en/pages/visit';
import { putEntry } from './putEntry';

interface BoltsDoneProps {
  readonly vehicleId: string;
  readonly fleetCode: string;
}

/** The second torque of the wheel bolts, ticked where it is asked for; it can be taken back on the life sheet. */
export function BoltsDone({ vehicleId, fleetCode }: BoltsDoneProps) {
  const done = () =>
    void putEntry({ vehicleId, meter: null }, { kind: 'job', job: { code: 'wheel-bolts', name: '' }, ...NO_DETAILS });
  return <Press label={say.boltsDone} hint={say.boltsDoneOf(fleetCode)} onPress={done} />;
}
