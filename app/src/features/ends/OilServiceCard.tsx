import { type GradedPoint, type OilStep, USUAL_WAIT_S } from '@weskopos/core';
import { oilService } from '@weskopos/core/walk';
import type { Visit } from '@weskopos/contract';
import type { HouseRules, Vehicle } from '@weskopos/core';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { usePalette } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { putAct } from './putAct';
import { useNow } from '../../visit/useNow';
import { ends as say } from '@weskopos/words/en/pages/ends';

interface OilServiceCardProps {
  readonly vehicle: Vehicle;
  readonly house: HouseRules;
  readonly visit: Visit;
  readonly points: readonly GradedPoint[];
}

/** What a step of the oil service does at a tap; the others are done on the cards of what is open, or on the vehicle. */
const TAPS: Partial<Record<OilStep, (visitId: string) => Promise<unknown>>> = {
  'cap-off': (id) => putAct(id, { kind: 'open', end: 'filler-cap', place: '', fasteners: null }),
  drain: async (id) => {
    await putAct(id, { kind: 'open', end: 'drain-plug', place: '', fasteners: null });
    await putAct(id, { kind: 'open', end: 'oil-fill', place: '', fasteners: null });
    await putAct(id, { kind: 'wait', wait: 'drain', lengthS: USUAL_WAIT_S.drain });
  },
  'filter-off': (id) => putAct(id, { kind: 'open', end: 'oil-filter', place: '', fasteners: null }),
};

const HINTS: Partial<Record<OilStep, string>> = {
  warm: say.startItUnderTheVehicle,
  run: say.startItUnderTheVehicle,
  settle: say.stopItUnderTheVehicle,
  'leak-check': say.inTheWalkAtClosing,
};

/** The oil service as a chain of acts: what is done, what comes next. */
export function OilServiceCard({ vehicle, house, visit, points }: OilServiceCardProps) {
  const palette = usePalette();
  const now = useNow(5000);
  const { inspection, acts } = visit;
  if (vehicle.makeUp.power === 'electric') return null;
  const leaksChecked = points.some(({ point, result }) => point === 'close.leakcheck' && result.grade !== 'not-seen');
  const chain = oilService(acts, inspection, now, house, leaksChecked);
  if (!chain)
    return (
      <Press
        label={say.beginAnOilService}
        onPress={() => void putAct(inspection.id, { kind: 'open', end: 'indicator', place: '', fasteners: null })}
      />
    );
  const { next } = chain;
  // A cold engine drains too, only slower: warming it is asked for, not insisted on.
  const doable = next === 'warm' ? chain.steps.find(({ step, done }) => !done && step !== 'warm')?.step : next;
  const tap = doable && TAPS[doable];
  return (
    <Card>
      <Heading level={2}>{say.oilService}</Heading>
      {chain.steps.map(({ step, done, passedOver }) => (
        <Words key={step} colour={done ? palette.soft : palette.ink} strong={step === next}>
          {`${done ? '✓' : step === next ? '›' : passedOver ? '–' : '·'} ${words.oilStep[step]}${passedOver ? say.passedOver : ''}`}
        </Words>
      ))}
      {chain.steps.some(({ step, done }) => step === 'drain' && !done) ? (
        <Words size="s" soft>
          {house.draining === 'warm' ? say.drainWarm : say.drainCold}
        </Words>
      ) : null}
      {next === null ? <Words role="status">{say.allDone}</Words> : null}
      {next && (next !== doable || !tap) ? <Words soft>{HINTS[next] ?? say.onItsCardAmongWhat}</Words> : null}
      {doable && tap ? (
        <Press kind="main" label={words.oilStep[doable]} onPress={() => void tap(inspection.id)} />
      ) : null}
    </Card>
  );
}
