import {
  CRANK_STANDARDS,
  HOW_READ,
  TORQUE_STAGES,
  CHARGED_V,
  axleAt,
  batteryHealth,
  boilingFromWater,
  cataloguePoint,
  placardAt,
  pressureAtReference,
  readingAt,
  readingValue,
  stateOfCharge,
  specAt,
  torqueOrder,
  tyreTemperature,
} from '@weskopos/core';
import { Choice } from '../../../kit/Choice';
import { Words } from '../../../kit/Words';
import { words } from '@weskopos/words/en';
import { HouseLine } from '../../../controls/HouseLine';
import { amount, capital, figure, houseRules, unitOf, pointName } from '@weskopos/words/show';
import { AgeOnRecord } from './AgeOnRecord';
import type { ControlProps } from './control';
import { LevelAid } from './LevelAid';
import { OilLamp } from './OilLamp';
import { StudCircle } from './StudCircle';
import { controls as say } from '@weskopos/words/en/pages/controls';
import { common } from '@weskopos/words/en/pages/common';

/** What stands beside a reading while it is taken: how it was read, what it means, what to do. Empty where there is nothing to say. */
export function Aids(props: ControlProps) {
  const point = cataloguePoint(props.pointRef.point);
  const takes = (measure: string) => point.measures.some((slot) => slot.measure === measure);
  return (
    <>
      {point.howRead ? <HowItWasRead {...props} /> : null}
      {takes('seconds') ? <OilLamp {...props} /> : null}
      {takes('part-age') || takes('hours') ? <AgeOnRecord {...props} /> : null}
      {takes('level') ? <LevelAid {...props} /> : null}
      {takes('pressure') ? <Corrected {...props} /> : null}
      {takes('crank') ? <Crank {...props} /> : null}
      {takes('rest-voltage') ? <Charge {...props} /> : null}
      {takes('torque') ? <Crosswise {...props} /> : null}
      {takes('water') ? <Boiling {...props} /> : null}
      {takes('lining') || takes('shoe') ? <ShareOfNew {...props} /> : null}
    </>
  );
}

function HowItWasRead({ pointRef, finding, put }: ControlProps) {
  return (
    <Choice
      label={say.howItWasRead}
      options={HOW_READ}
      word={(how) => capital(words.howRead[how])}
      value={finding?.howRead ?? null}
      onChoose={(howRead) => put(pointRef, () => ({ howRead }))}
    />
  );
}

/** The pressure as it would be at the placard's temperature, from the tyre's own or the ambient one. */
function Corrected({ pointRef, finding, background, phase }: ControlProps) {
  const { vehicle, inspection } = background.grading;
  const reading = readingAt(finding, 'pressure', 'whole', phase);
  const tyre = tyreTemperature(finding, inspection, phase);
  const placard = placardAt(vehicle, pointRef.place, inspection.load);
  if (pointRef.point !== 'tyre.pressure') return null;
  const told =
    placard === null
      ? say.noPlacardOnTheSpec
      : say.placard(amount('pressure', placard), words.load[inspection.load].toLowerCase());
  if ('why' in tyre)
    return (
      <Words size="m" soft>
        {say.readTheTyresTemperatureTo(
          capital(told),
          tyre.why === 'no-temperature' ? say.theAmbientTemperatureWasNot : say.itDidNotStandCold,
        )}
      </Words>
    );
  const atReference = reading
    ? pressureAtReference(readingValue(reading), tyre.celsius, background.grading.rules.house.altitudeM)
    : null;
  return (
    <Words size="m" soft>
      {say.tyreAt(
        atReference === null ? '' : say.at20C(amount('pressure', atReference)),
        told,
        amount('temperature', tyre.celsius),
      )}
    </Words>
  );
}

function Crank({ pointRef, finding, background, put }: ControlProps) {
  const { battery, systemVolts } = background.grading.vehicle.spec;
  const rest = readingAt(background.grading.standing.get('battery.rest'), 'rest-voltage');
  const low = rest !== undefined && (readingValue(rest) * 12) / systemVolts < CHARGED_V;
  const reading = readingAt(finding, 'crank');
  const rated =
    battery.ratedA !== null && battery.standard !== null
      ? { amperes: battery.ratedA, standard: battery.standard }
      : null;
  const health =
    reading && rated && finding?.standard
      ? batteryHealth({ amperes: readingValue(reading), standard: finding.standard }, rated)
      : null;
  return (
    <>
      <Choice
        label={say.testStandardOfTheReading}
        options={CRANK_STANDARDS}
        word={(standard) => standard}
        value={finding?.standard ?? null}
        onChoose={(standard) => put(pointRef, () => ({ standard }))}
      />
      <Words size="m" soft>
        {rated
          ? say.ratedABy(
              rated.amperes,
              rated.standard,
              health === null ? say.onlyTheSameStandardIs : say.health(Math.round(health * 100)),
            )
          : say.noRatedCurrent}
      </Words>
      {reading && low ? <Words role="status">{say.chargeFirst}</Words> : null}
    </>
  );
}

function Charge({ finding, background }: ControlProps) {
  const { battery, systemVolts } = background.grading.vehicle.spec;
  const reading = readingAt(finding, 'rest-voltage');
  if (!reading) return null;
  const charge = stateOfCharge((readingValue(reading) * 12) / systemVolts, battery.type);
  const told = {
    about: charge.status === 'about' ? say.aboutCharged(Math.round(charge.percent)) : '',
    empty: 'flat',
    full: common.fullOrNotYetAt,
    unknown: common.onlyTheMakersTableTells,
  }[charge.status];
  return (
    <Words size="m" soft>
      {say.afterTwoHoursOfRest(capital(told))}
    </Words>
  );
}

function Crosswise({ pointRef, background }: ControlProps) {
  const { spec } = background.grading.vehicle;
  const wheel = pointRef.point === 'close.bolts';
  const { torque } = specAt(pointRef.point, spec);
  const stages = torque
    ? TORQUE_STAGES.map((stage) => figure('torque', torque.newtonMetres * stage)).join(', then ')
    : null;
  return (
    <>
      <Words size="m">
        {stages === null
          ? say.theSpecSheetHasNo
          : `Crosswise, ${stages} ${unitOf('torque')}${torque?.socket ? say.socket(torque.socket) : ''}.`}
      </Words>
      {wheel && spec.studs !== null ? <StudCircle order={torqueOrder(spec.studs)} /> : null}
    </>
  );
}

function Boiling({ finding, background }: ControlProps) {
  const grade = background.grading.vehicle.spec.brakeFluid;
  const reading = readingAt(finding, 'water');
  if (!grade || !reading) return null;
  const celsius = boilingFromWater(grade, readingValue(reading));
  return (
    <Words size="m" soft>
      {celsius === null
        ? say.beyondTheWetPointOf(grade)
        : say.withThatMuchWaterBoils(grade, amount('boiling', celsius))}
    </Words>
  );
}

/** Lining as the house tells it besides millimetres: percent of new, or the go/no-go step it passes. */
function ShareOfNew({ pointRef, finding, background, phase }: ControlProps) {
  const how = houseRules().liningAs;
  const fresh = axleAt(background.grading.vehicle.axles, pointRef.place)?.liningNewMm ?? null;
  const reading = readingAt(finding, 'lining', 'whole', phase) ?? readingAt(finding, 'shoe', 'whole', phase);
  if (how !== 'percent' || !reading) return null;
  return (
    <>
      <Words size="m" soft>
        {fresh === null
          ? say.noNewValueToShare(pointName(pointRef.point))
          : say.ofNew(
              pointName(pointRef.point),
              Math.round((readingValue(reading) / fresh) * 100),
              amount('lining', fresh),
            )}
      </Words>
      <HouseLine question="liningAs" />
    </>
  );
}
