import type { Visit } from '@weskopos/contract';
import {
  cataloguePoint,
  endRule,
  isFastened,
  openEnds,
  vehicleState,
  type GradingContext,
  type StepAct,
  type WalkStep,
} from '@weskopos/core';
import { stepActs } from '@weskopos/core/walk';
import Square from 'lucide-react-native/icons/square';
import { memo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { usePalette } from '../../kit/theme';
import { SPACE } from '../../kit/tokens';
import { Label, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { placeWords } from '@weskopos/words/show';
import { putAct } from '../ends/putAct';
import { walk as say } from '@weskopos/words/en/pages/walk';
import { common } from '@weskopos/words/en/pages/common';

interface StepActsLineProps {
  readonly step: WalkStep;
  readonly visit: Pick<Visit, 'inspection' | 'acts'>;
  readonly grading: GradingContext;
  /** The engine is started where the gate and what lies open are seen. */
  readonly onEnds: () => void;
}

const FASTENERS_MOST = 99;

/** What this step wants done to the vehicle first, a tap each: what is opened here hangs among the loose ends until it is closed. */
export const StepActsLine = memo(function StepActsLine({ step, visit, grading, onEnds }: StepActsLineProps) {
  const palette = usePalette();
  const [counting, setCounting] = useState<Extract<StepAct, { kind: 'open' }> | null>(null);
  const [count, setCount] = useState('');
  const { inspection, acts } = visit;
  const { vehicle, standing } = grading;
  // Only what was said counts here, not how long ago.
  const state = vehicleState(inspection, acts, Infinity);
  const wanted = stepActs(step.points, state, openEnds(acts), standing);
  const opens = wanted.filter((act) => act.kind === 'open');
  // What the step says on top is not said again.
  const said = new Set(step.points.flatMap(({ point }) => cataloguePoint(point).cautions));
  const cautions = [...new Set(opens.flatMap(({ end }) => endRule(end).cautions))].filter((one) => !said.has(one));
  if (wanted.length === 0) return null;
  const fasteners = Number(count);
  const countRight = Number.isInteger(fasteners) && fasteners >= 1 && fasteners <= FASTENERS_MOST;
  const open = ({ end, place }: Extract<StepAct, { kind: 'open' }>, held: number | null) =>
    void putAct(inspection.id, { kind: 'open', end, place, fasteners: held });
  const take = (act: StepAct) => {
    if (act.kind === 'state') {
      if (act.change === 'engine-start') onEnds();
      else void putAct(inspection.id, { kind: 'state', change: act.change });
    } else if (!isFastened(act.end)) open(act, null);
    else if (act.end === 'wheel' && vehicle.spec.studs) open(act, vehicle.spec.studs);
    else setCounting(act);
  };
  const label = (act: StepAct) =>
    act.kind === 'state'
      ? act.change === 'engine-start'
        ? say.startTheEngine
        : words.stateChange[act.change]
      : `${words.end[act.end]}${act.place ? `, ${placeWords(act.place, vehicle)}` : ''}`;
  return (
    <View style={styles.stack}>
      <View role="group" aria-label={say.doneToTheVehicleFor} style={styles.row}>
        <Label size="l" soft>
          {say.first}
        </Label>
        {wanted.map((act) => (
          <Press
            key={JSON.stringify(act)}
            label={label(act)}
            icon={<Square color={palette.soft} size={18} />}
            onPress={() => take(act)}
            style={styles.act}
          />
        ))}
      </View>
      {counting ? (
        <>
          <Field
            label={say.howManyFastenersHoldIt(words.end[counting.end])}
            value={count}
            onChangeText={setCount}
            inputMode="numeric"
            figures={{}}
            problem={count !== '' && !countRight ? say.fasteners1To(FASTENERS_MOST) : undefined}
          />
          <Press
            label={common.writeItDownAsOpen}
            disabled={!countRight}
            onPress={() => {
              open(counting, fasteners);
              setCounting(null);
              setCount('');
            }}
          />
        </>
      ) : null}
      {cautions.length > 0 ? (
        <Words size="s" soft>
          {cautions.map((caution) => words.atPoint[caution]).join(' ')}
        </Words>
      ) : null}
    </View>
  );
});

const styles = StyleSheet.create({
  stack: { gap: SPACE.xs },
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: SPACE.s },
  act: { flexShrink: 1, paddingHorizontal: SPACE.s },
});
