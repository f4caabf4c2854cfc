import {
  BRAKE_FLUID_GRADES,
  OIL_USED_LIMITS,
  boilingFromWater,
  dripLoss,
  oilUsed,
  stickToLitres,
} from '@weskopos/core';
import { GLYCOLS, drainToRaise, freezePoint, glycolShare, type TableValue } from '@weskopos/core/desk';
import { amount } from '../../words/show';
import { choiceField, figureField, type Sum } from './sum';

const beyond = (value: TableValue, told: (value: number) => string) =>
  value.status === 'value'
    ? told(value.value)
    : `${value.side === 'below' ? 'below' : 'above'} ${told(value.end)}: the table ends there`;

export const FLUID_SUMS: readonly Sum[] = [
  {
    code: 'stick',
    title: 'Stick to litres',
    formula: '(target − level) · span; three quarters of it first',
    source: 'Level as a share between the marks, 0 lower, 1 top. Settle and read again before the rest.',
    fields: [
      figureField('level', 'Level on the stick', 'level', -0.5, 2, 0.2),
      figureField('target', 'Target', 'level', 0, 1, 1),
      figureField('span', 'Between the marks', 'L', 0.05, 20, 1.2),
    ],
    work: (v) => {
      const advice = stickToLitres(v.number('level'), v.number('target'), v.number('span'));
      if (advice.status === 'right') return ['Nothing to add.'];
      if (advice.status === 'remove') return [`Take out ${amount('volume', advice.litres)}`];
      return [
        `Add ${amount('volume', advice.litres)} in all`,
        `First ${amount('volume', advice.firstLitres)}, settle, read again`,
      ];
    },
  },
  {
    code: 'oil-used',
    title: 'Oil used',
    formula: '(Σ top-ups + (level then − level now) · span) / distance',
    source: `House limits ${OIL_USED_LIMITS.advisory} and ${OIL_USED_LIMITS.fail} L per 1,000 km. Restart at every oil change.`,
    fields: [
      figureField('added', 'Topped up', 'L', 0, 100, 1.3),
      figureField('then', 'Level then', 'level', -0.5, 2, 0.9),
      figureField('now', 'Level now', 'level', -0.5, 2, 0.4),
      figureField('span', 'Between the marks', 'L', 0.05, 20, 1),
      figureField('km', 'Distance', 'km', 1, 100_000, 6200),
    ],
    work: (v) => {
      const used = oilUsed(v.number('added'), v.number('then'), v.number('now'), v.number('span'), v.number('km'));
      const grade = used > OIL_USED_LIMITS.fail ? 'fail' : used > OIL_USED_LIMITS.advisory ? 'advisory' : 'pass';
      return [`${used.toFixed(3)} L per 1,000 km: ${grade}`];
    },
  },
  {
    code: 'glycol',
    title: 'Glycol and freeze point',
    formula: 'straight lines between the rows of the table',
    source: 'ASHRAE, % by volume. Outside the table a bound, never a number.',
    fields: [
      choiceField('kind', 'Glycol', GLYCOLS),
      figureField('share', 'Share of glycol', '%', 0, 100, 30, true),
      figureField('freeze', 'Or freeze point', '°C', -80, 10, '', true),
    ],
    work: (v) => {
      const kind = v.choice('kind', GLYCOLS);
      const share = v.maybe('share');
      const freeze = v.maybe('freeze');
      return [
        ...(share === null
          ? []
          : [`${share} %: freezes at ${beyond(freezePoint(share, kind), (c) => `${c.toFixed(1)} °C`)}`]),
        ...(freeze === null
          ? []
          : [`${freeze} °C: a share of ${beyond(glycolShare(freeze, kind), (p) => `${p.toFixed(1)} %`)}`]),
        ...(share === null && freeze === null ? ['Give a share or a freeze point.'] : []),
      ];
    },
  },
  {
    code: 'raise',
    title: 'Raise the share of glycol',
    formula: 'drain V · (c₂ − c₁) / (c refill − c₁), refill with it',
    source: 'Cold, no pressure. Old coolant to the collection point. The system mixes only once it has run warm.',
    fields: [
      figureField('litres', 'Whole system', 'L', 0.5, 200, 7.5),
      figureField('now', 'Share now', '%', 0, 100, 32),
      figureField('wanted', 'Wanted', '%', 0, 100, 50),
      figureField('refill', 'Share of the refill', '%', 1, 100, 100),
    ],
    work: (v) => {
      const litres = drainToRaise(
        v.number('litres'),
        v.number('now') / 100,
        v.number('wanted') / 100,
        v.number('refill') / 100,
      );
      if (litres === null) return ['This refill is too weak to raise it that far.'];
      return litres === 0 ? ['It is strong enough.'] : [`Drain ${litres.toFixed(2)} L and refill as much`];
    },
  },
  {
    code: 'boiling',
    title: 'Brake fluid, boiling point from water',
    formula: 'straight line from the dry minimum to the wet minimum at 3.7 %',
    source: '49 CFR 571.116. An estimate: shown, never graded.',
    fields: [choiceField('grade', 'Fluid', BRAKE_FLUID_GRADES), figureField('water', 'Water', '%', 0, 20, 2)],
    work: (v) => {
      const celsius = boilingFromWater(v.choice('grade', BRAKE_FLUID_GRADES), v.number('water'));
      return [
        celsius === null
          ? 'Beyond the wet point the line says nothing: change the fluid.'
          : `about ${amount('boiling', celsius)}`,
      ];
    },
  },
  {
    code: 'drips',
    title: 'Drips',
    formula: '20 drops ≈ 1 mL; drops a minute · 3 = mL an hour',
    source: 'About; drops differ. Hours: 24, or those the engine runs when it drips only then.',
    fields: [
      figureField('drops', 'Drops a minute', '/min', 0, 600, 4),
      figureField('hours', 'Hours of dripping a day', 'h', 0, 24, 2),
      figureField('litres', 'From now to the minimum', 'L', 0, 100, 1, true),
    ],
    work: (v) => {
      const loss = dripLoss(v.number('drops'), v.number('hours'), v.maybe('litres'));
      return [
        `${loss.mlPerHour.toFixed(0)} mL an hour of dripping, ${loss.mlPerDay.toFixed(0)} mL a day`,
        ...(loss.daysToMinimum === null ? [] : [`${loss.daysToMinimum.toFixed(1)} days to the minimum`]),
      ];
    },
  },
];
