import {
  BATTERY_TYPES,
  CRANK_STANDARDS,
  STUD_COUNTS,
  TORQUE_STAGES,
  UNITS,
  batteryHealth,
  fromStored,
  stateOfCharge,
  torqueOrder,
  typedKeys,
} from '@weskopos/core';
import { dueOf, filterFit, fuelUse, mpgToLitresPer100Km } from '@weskopos/core/desk';
import { day, figureIn, houseRules } from '@weskopos/words/show';
import { choiceField, figureField, type Sum, type SumValues } from './sum';
import { nowMs } from '../../sync/clock';
import { bench as say } from '@weskopos/words/en/pages/bench';
import { common } from '@weskopos/words/en/pages/common';

const FILLS = [1, 2, 3, 4] as const;

function fills(v: SumValues) {
  return FILLS.flatMap((n) => {
    const km = v.maybe(`km${n}`);
    const litres = v.maybe(`litres${n}`);
    return km === null || litres === null ? [] : [{ km, litres, full: v.text(`full${n}`) === 'full' }];
  });
}

/** Every unit a typed value may have, with its brothers. */
const SHOWN_UNITS = typedKeys(UNITS).filter(
  (unit) => Object.values(UNITS).filter(({ quantity }) => quantity === UNITS[unit].quantity).length > 1,
);

export const OTHER_SUMS: readonly Sum[] = [
  {
    code: 'battery',
    title: common.battery,
    formula: say.healthMeasuredRatedOneStandard,
    source: say.afterTwoHoursOfRest,
    fields: [
      choiceField('type', common.battery, BATTERY_TYPES),
      figureField('volts', say.restVoltageOf12V, 'V', 8, 15, 12.45),
      figureField('measured', common.measured, 'A', 0, 3000, 480, true),
      choiceField('measuredBy', common.measuredBy, CRANK_STANDARDS),
      figureField('rated', say.rated, 'A', 1, 3000, 640, true),
      choiceField('ratedBy', say.ratedBy, CRANK_STANDARDS),
    ],
    work: (v) => {
      const charge = stateOfCharge(v.number('volts'), v.choice('type', BATTERY_TYPES));
      const told = {
        about: charge.status === 'about' ? say.aboutCharged(Math.round(charge.percent)) : '',
        empty: 'flat',
        full: common.fullOrNotYetAt,
        unknown: common.onlyTheMakersTableTells,
      }[charge.status];
      const [measured, rated] = [v.maybe('measured'), v.maybe('rated')];
      if (measured === null || rated === null) return [told];
      const health = batteryHealth(
        { amperes: measured, standard: v.choice('measuredBy', CRANK_STANDARDS) },
        { amperes: rated, standard: v.choice('ratedBy', CRANK_STANDARDS) },
      );
      return [told, health === null ? say.twoStandardsNotCompared : say.health(Math.round(health * 100))];
    },
  },
  {
    code: 'fuel',
    title: say.fuelUse,
    formula: say.litresBetweenTwoFullFills,
    source: say.fullToFullOnlyWhat,
    fields: FILLS.flatMap((n) => [
      figureField(`km${n}`, say.fillMeter(n), 'km', 0, 3_000_000, n <= 2 ? 84_000 + n * 500 : '', true),
      figureField(`litres${n}`, say.fill(n), 'L', 0, 1000, n <= 2 ? 35 : '', true),
      choiceField(`full${n}`, say.fillWas(n), ['full', 'partial']),
    ]),
    work: (v) => {
      const stretches = fuelUse(fills(v));
      if (stretches.length === 0) return [say.twoFullFillsAreNeeded];
      return stretches.map(({ fromKm, toKm, litresPer100Km }) => {
        const mpg = mpgToLitresPer100Km(litresPer100Km, 'imperial').toFixed(1);
        const us = mpgToLitresPer100Km(litresPer100Km, 'us').toFixed(1);
        return say.stretchWords(fromKm, toKm, litresPer100Km.toFixed(2), (100 / litresPer100Km).toFixed(1), mpg, us);
      });
    },
  },
  {
    code: 'due',
    title: say.due,
    formula: say.earliestOfCalendarMonthsAnd,
    source: say.distanceToldAsADate,
    fields: [
      figureField('ago', say.daysSinceTheLastTime, 'step', 0, 5000, 121),
      figureField('since', say.distanceSince, 'km', 0, 1_000_000, 6000),
      figureField('months', 'Every, months', 'months', 1, 240, 12, true),
      figureField('km', say.every, 'km', 1, 1_000_000, 15_000, true),
      figureField('perDay', say.distanceADay, 'km', 0, 2000, 50, true),
      choiceField('hard', say.hardUse, ['no', 'yes']),
    ],
    work: (v) => {
      const house = houseRules();
      const factor = v.text('hard') === 'yes' && house.hardUse === 'shortened' ? house.hardUseFactor : 1;
      const today = new Date(nowMs());
      const last = new Date(today.getTime() - v.number('ago') * 86_400_000);
      const iso = (date: Date) => date.toISOString().slice(0, 10);
      const due = dueOf({
        lastOn: iso(last),
        lastMeter: 0,
        today: iso(today),
        meter: v.number('since'),
        months: v.maybe('months'),
        distance: v.maybe('km'),
        factor,
        perDay: v.maybe('perDay'),
      });
      if (!due) return [say.noLimitIsGiven];
      const when = due.on
        ? `${day(due.on)}${due.daysLeft === null ? '' : say.inDays(due.daysLeft)}`
        : say.noDateWithoutTheDistance;
      return [say.dueBy(due.by === 'months' ? 'time' : 'distance', when)];
    },
  },
  {
    code: 'torque',
    title: say.torque,
    formula: say.torqueFormula,
    source: say.onTheGroundCrosswiseHalf,
    fields: [
      figureField('torque', say.torque, 'N·m', 1, 2000, 120),
      choiceField('studs', say.studs, STUD_COUNTS.map(String)),
    ],
    work: (v) => {
      const torque = v.number('torque');
      return [
        `${figureIn('N·m', torque, 1)} N·m = ${figureIn('lb·ft', torque, 1)} lb·ft`,
        `Stages: ${TORQUE_STAGES.map((stage) => `${figureIn('N·m', torque * stage, 0)} N·m`).join(', ')}`,
        say.orderClockwiseFromTheTop(torqueOrder(v.choice('studs', STUD_COUNTS)).join(', ')),
      ];
    },
  },
  {
    code: 'filter',
    title: say.filterFit,
    formula: say.threadAndPitchEqualSeal,
    source: say.byPassPressureUnknownIt,
    fields: [
      figureField('thread', say.threadOfTheFilter, 'mm', 5, 100, 20),
      figureField('pitch', say.itsPitch, 'mm', 0.25, 6, 1.5),
      figureField('sealIn', 'Seal, inside', 'mm', 10, 300, 62),
      figureField('sealOut', 'Seal, outside', 'mm', 10, 300, 71),
      figureField('spigot', say.threadOfTheSpigot, 'mm', 5, 100, 20),
      figureField('spigotPitch', say.itsPitch, 'mm', 0.25, 6, 1.5),
      figureField('landIn', 'Landing, inside', 'mm', 10, 300, 60),
      figureField('landOut', 'Landing, outside', 'mm', 10, 300, 73),
      choiceField('bypass', say.byPassPressures, [common.notKnown, say.knownToAgree]),
    ],
    work: (v) => {
      const { misfits, warnBypass } = filterFit({
        filter: {
          threadMm: v.number('thread'),
          pitchMm: v.number('pitch'),
          sealInsideMm: v.number('sealIn'),
          sealOutsideMm: v.number('sealOut'),
        },
        engine: {
          threadMm: v.number('spigot'),
          pitchMm: v.number('spigotPitch'),
          landingInsideMm: v.number('landIn'),
          landingOutsideMm: v.number('landOut'),
        },
        bypassKnown: v.text('bypass') === say.knownToAgree,
      });
      const fits =
        misfits.length === 0 ? say.itFits : say.doesNotFit(misfits.map((one) => one.replace('-', ' ')).join(', '));
      return warnBypass && misfits.length === 0 ? [fits, say.nobodyKnowsWhenItsBy] : [fits];
    },
  },
  {
    code: 'units',
    title: common.units,
    formula: say.storedInSiTypedIn,
    source: say.inchMileAndGallonsExact,
    fields: [
      { name: 'value', label: say.value, unit: 'step', least: -1e6, most: 1e6, usual: '35' },
      choiceField('unit', say.unit, SHOWN_UNITS),
    ],
    work: (v) => {
      const unit = v.choice('unit', SHOWN_UNITS);
      const stored = v.number('value') * UNITS[unit].factor + UNITS[unit].offset;
      return SHOWN_UNITS.filter((one) => one !== unit && UNITS[one].quantity === UNITS[unit].quantity).map(
        (one) => `${Number(fromStored(stored, one).toPrecision(6))} ${one}`,
      );
    },
  },
];
