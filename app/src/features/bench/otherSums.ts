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
import { day, figureIn, houseRules } from '../../words/show';
import { choiceField, figureField, type Sum, type SumValues } from './sum';
import { nowMs } from '../../sync/clock';

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
    title: 'Battery',
    formula: 'health = measured / rated, one standard; charge from rest voltage',
    source:
      'After two hours of rest, 25 °C, approximate. Standards are never converted into each other. Acid, gas: no sparks.',
    fields: [
      choiceField('type', 'Battery', BATTERY_TYPES),
      figureField('volts', 'Rest voltage of 12 V', 'V', 8, 15, 12.45),
      figureField('measured', 'Measured', 'A', 0, 3000, 480, true),
      choiceField('measuredBy', 'Measured by', CRANK_STANDARDS),
      figureField('rated', 'Rated', 'A', 1, 3000, 640, true),
      choiceField('ratedBy', 'Rated by', CRANK_STANDARDS),
    ],
    work: (v) => {
      const charge = stateOfCharge(v.number('volts'), v.choice('type', BATTERY_TYPES));
      const told = {
        about: charge.status === 'about' ? `about ${Math.round(charge.percent)} % charged` : '',
        empty: 'flat',
        full: 'full, or not yet at rest',
        unknown: 'only the maker’s table tells for lithium',
      }[charge.status];
      const [measured, rated] = [v.maybe('measured'), v.maybe('rated')];
      if (measured === null || rated === null) return [told];
      const health = batteryHealth(
        { amperes: measured, standard: v.choice('measuredBy', CRANK_STANDARDS) },
        { amperes: rated, standard: v.choice('ratedBy', CRANK_STANDARDS) },
      );
      return [told, health === null ? 'Two standards: not compared' : `health ${Math.round(health * 100)} %`];
    },
  },
  {
    code: 'fuel',
    title: 'Fuel use',
    formula: 'litres between two full fills / distance; partial fills carried',
    source: 'Full to full only. What came before the first full fill tells nothing.',
    fields: FILLS.flatMap((n) => [
      figureField(`km${n}`, `Fill ${n}, meter`, 'km', 0, 3_000_000, n <= 2 ? 84_000 + n * 500 : '', true),
      figureField(`litres${n}`, `Fill ${n}`, 'L', 0, 1000, n <= 2 ? 35 : '', true),
      choiceField(`full${n}`, `Fill ${n} was`, ['full', 'partial']),
    ]),
    work: (v) => {
      const stretches = fuelUse(fills(v));
      if (stretches.length === 0) return ['Two full fills are needed.'];
      return stretches.map(({ fromKm, toKm, litresPer100Km }) => {
        const mpg = mpgToLitresPer100Km(litresPer100Km, 'imperial').toFixed(1);
        const us = mpgToLitresPer100Km(litresPer100Km, 'us').toFixed(1);
        return `${fromKm} to ${toKm} km: ${litresPer100Km.toFixed(2)} L/100 km, ${(100 / litresPer100Km).toFixed(1)} km/L, ${mpg} mpg (imp), ${us} mpg (US)`;
      });
    },
  },
  {
    code: 'due',
    title: 'Due',
    formula: 'earliest of calendar months and distance, each · hard-use factor',
    source: 'Distance told as a date from the vehicle’s own use. The house rule says whether hard use shortens.',
    fields: [
      figureField('ago', 'Days since the last time', 'step', 0, 5000, 121),
      figureField('since', 'Distance since', 'km', 0, 1_000_000, 6000),
      figureField('months', 'Every, months', 'months', 1, 240, 12, true),
      figureField('km', 'Every', 'km', 1, 1_000_000, 15_000, true),
      figureField('perDay', 'Distance a day', 'km', 0, 2000, 50, true),
      choiceField('hard', 'Hard use', ['no', 'yes']),
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
      if (!due) return ['No limit is given.'];
      const when = due.on
        ? `${day(due.on)}${due.daysLeft === null ? '' : `, in ${due.daysLeft} days`}`
        : 'no date without the distance a day';
      return [`By ${due.by === 'months' ? 'time' : 'distance'}: ${when}`];
    },
  },
  {
    code: 'torque',
    title: 'Torque',
    formula: '1 lb·ft = 1.3558179483 N·m; opposite pairs, then the pair nearest a right angle',
    source: 'On the ground, crosswise, half and then whole. Again after 50 to 100 km.',
    fields: [
      figureField('torque', 'Torque', 'N·m', 1, 2000, 120),
      choiceField('studs', 'Studs', STUD_COUNTS.map(String)),
    ],
    work: (v) => {
      const torque = v.number('torque');
      return [
        `${figureIn('N·m', torque, 1)} N·m = ${figureIn('lb·ft', torque, 1)} lb·ft`,
        `Stages: ${TORQUE_STAGES.map((stage) => `${figureIn('N·m', torque * stage, 0)} N·m`).join(', ')}`,
        `Order, clockwise from the top: ${torqueOrder(v.choice('studs', STUD_COUNTS)).join(', ')}`,
      ];
    },
  },
  {
    code: 'filter',
    title: 'Filter fit',
    formula: 'thread and pitch equal; seal inside ≥ landing inside, outside ≤ landing outside',
    source: 'By-pass pressure unknown: it may open too early or too late. The maker’s number comes first.',
    fields: [
      figureField('thread', 'Thread of the filter', 'mm', 5, 100, 20),
      figureField('pitch', 'Its pitch', 'mm', 0.25, 6, 1.5),
      figureField('sealIn', 'Seal, inside', 'mm', 10, 300, 62),
      figureField('sealOut', 'Seal, outside', 'mm', 10, 300, 71),
      figureField('spigot', 'Thread of the spigot', 'mm', 5, 100, 20),
      figureField('spigotPitch', 'Its pitch', 'mm', 0.25, 6, 1.5),
      figureField('landIn', 'Landing, inside', 'mm', 10, 300, 60),
      figureField('landOut', 'Landing, outside', 'mm', 10, 300, 73),
      choiceField('bypass', 'By-pass pressures', ['not known', 'known to agree']),
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
        bypassKnown: v.text('bypass') === 'known to agree',
      });
      const fits =
        misfits.length === 0 ? 'It fits.' : `Does not fit: ${misfits.map((one) => one.replace('-', ' ')).join(', ')}.`;
      return warnBypass && misfits.length === 0
        ? [fits, 'Nobody knows when its by-pass opens: take the maker’s.']
        : [fits];
    },
  },
  {
    code: 'units',
    title: 'Units',
    formula: 'stored in SI, typed in either',
    source: 'Inch, mile and gallons exact; psi and lb·ft by NIST SP 811.',
    fields: [
      { name: 'value', label: 'Value', unit: 'step', least: -1e6, most: 1e6, usual: '35' },
      choiceField('unit', 'Unit', SHOWN_UNITS),
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
