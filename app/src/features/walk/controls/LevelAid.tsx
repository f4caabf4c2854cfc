import { quantityOf, readingAt, readingValue, spanAt, stickToLitres } from '@weskopos/core';
import { lowBrakeFluidAdvice } from '@weskopos/core/calculators/lowBrakeFluid';
import { Words } from '../../../kit/Words';
import { knownLinings } from '../../../visit/knownLinings';
import { amount } from '@weskopos/words/show';
import { levelWords } from '@weskopos/words/levelWords';
import { HouseLine } from '../../../controls/HouseLine';
import type { ControlProps } from './control';
import { controls as say } from '@weskopos/words/en/pages/controls';

/** What a level comes to: litres to the house's target or to the top mark, and what low brake fluid asks for. */
export function LevelAid(props: ControlProps) {
  const quantity = quantityOf(props.pointRef.point);
  if (quantity === 'oil.level' || props.pointRef.point === 'plant.oil') return <OilLitres {...props} />;
  return (
    <>
      <Litres {...props} />
      {quantity === 'brake.fluid.level' ? <LowBrakeFluid {...props} /> : null}
    </>
  );
}

/** Litres to bring the oil to the house's target: three quarters of it first, then settle and read again. */
function OilLitres({ pointRef, finding, background, phase }: ControlProps) {
  const { vehicle, rules } = background.grading;
  const span = spanAt(pointRef.point, vehicle.spec);
  const reading = readingAt(finding, 'level', 'whole', phase);
  if (!reading) return null;
  if (span === null)
    return (
      <Words size="s" soft>
        {say.theSpecSheetDoesNot}
      </Words>
    );
  const target = rules.house.oilTarget === 'top' ? 1 : 0.5;
  const advice = stickToLitres(readingValue(reading), target, span);
  const litres = (value: number) => amount('volume', value);
  if (advice.status === 'right') return null;
  return (
    <>
      <Words size="m">
        {advice.status === 'add'
          ? say.addInAllFirstLet(litres(advice.litres), litres(advice.firstLitres))
          : say.tooFullTakeOut(litres(advice.litres))}
      </Words>
      <HouseLine question="oilTarget" />
    </>
  );
}

/** Any other fluid with a known span: where it stands, in litres. */
function Litres({ pointRef, finding, background, phase }: ControlProps) {
  const span = spanAt(pointRef.point, background.grading.vehicle.spec);
  const reading = readingAt(finding, 'level', 'whole', phase);
  if (!reading || span === null) return null;
  return <Words size="m">{`${levelWords(readingValue(reading), span)}.`}</Words>;
}

function LowBrakeFluid({ finding, background, phase }: ControlProps) {
  const reading = readingAt(finding, 'level', 'whole', phase);
  const { rules } = background.grading;
  const advice = reading && lowBrakeFluidAdvice(readingValue(reading), knownLinings(background), rules.house);
  if (!advice) return null;
  return (
    <>
      <Words role="status">{say.lowBrakeFluid[advice]}</Words>
      <HouseLine question="lowBrakeFluid" />
    </>
  );
}
