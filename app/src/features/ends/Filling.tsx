import {
  capacityL,
  endRule,
  fillTargetL,
  nextFillL,
  type HouseRules,
  type LooseEnd,
  type SpecSheet,
} from '@weskopos/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { SPACE } from '../../kit/tokens';
import { Words } from '../../kit/Words';
import { amount } from '@weskopos/words/show';
import { TypedReading } from '../../controls/TypedReading';
import { putAct } from './putAct';
import { ends as say } from '@weskopos/words/en/pages/ends';

interface FillingProps {
  readonly end: LooseEnd;
  readonly spec: SpecSheet;
  readonly house: HouseRules;
  readonly visitId: string;
  /** A new filter is on: it fills at the first start. */
  readonly newFilter: boolean;
}

/** A filling in stages: how much is in, how much more before the next look, and by which custom. */
export function Filling({ end, spec, house, visitId, newFilter }: FillingProps) {
  const [shown, setShown] = useState(0);
  const { filledL, opened } = end;
  const { fluid } = endRule(opened.end);
  const capacity = fluid && capacityL(spec, fluid);
  const isOil = opened.end === 'oil-fill';
  const next = nextFillL(isOil ? fillTargetL(spec, house) : capacity, filledL);
  const customs = isOil ? oilCustoms(spec, house, newFilter) : [];
  return (
    <View style={styles.filling}>
      <Words>
        {[
          filledL > 0 ? say.inSoFar(amount('volume', filledL)) : say.nothingFilledInYet,
          capacity === null ? say.theSpecSheetTellsNo : say.capacity(amount('volume', capacity)),
          next === null ? '' : say.nowThenLookAtThe(amount('volume', next)),
        ]
          .filter(Boolean)
          .join(' ')}
      </Words>
      {customs.map((line) => (
        <Words key={line} size="s" soft>
          {line}
        </Words>
      ))}
      <TypedReading
        key={shown}
        measure="volume"
        label={say.litresOfThisStage}
        value={null}
        onValue={(litres) => {
          setShown(shown + 1);
          void putAct(visitId, { kind: 'fill', opens: opened.id, litres });
        }}
      />
    </View>
  );
}

/** The customs that take effect while engine oil is filled in, a quiet line each. */
function oilCustoms(spec: SpecSheet, house: HouseRules, newFilter: boolean): string[] {
  const target = fillTargetL(spec, house);
  const bySpec = house.dipstickWhileFilling === 'spec';
  const stick = house.dipstickWhileFilling === 'spec' ? (spec.stickWhileFilling ?? 'in') : house.dipstickWhileFilling;
  const whose = !bySpec ? say.stickBy.house : spec.stickWhileFilling ? say.stickBy.spec : say.stickBy.silent;
  return [
    house.oilTarget === 'middle' && target !== null ? say.fillTarget(amount('volume', target)) : '',
    `${whose}: ${say.stickWhileFilling[stick].toLowerCase()}`,
    newFilter ? say.stickFalls : '',
  ].filter(Boolean);
}

const styles = StyleSheet.create({ filling: { gap: SPACE.xs } });
