import {
  BRAKE_FLUID_GRADES,
  OIL_USED_LIMITS,
  boilingFromWater,
  dripLoss,
  oilUseGrade,
  oilUsed,
  stickToLitres,
} from '@weskopos/core';
import { GLYCOLS, drainToRaise, freezePoint, glycolShare, type Glycol, type TableValue } from '@weskopos/core/desk';
import { amount } from '@weskopos/words/show';
import { choiceField, figureField, type Sum } from './sum';
import { bench as say } from '@weskopos/words/en/pages/bench';
import { common } from '@weskopos/words/en/pages/common';

const beyond = (value: TableValue, told: (value: number) => string) =>
  value.status === 'value' ? told(value.value) : say.theTableEndsThere(value.side, told(value.end));

function freezes(share: number, kind: Glycol): string {
  const point = freezePoint(share, kind);
  if (point.status === 'turns') return say.freezesEarlierAgain(share, point.end);
  return say.freezesAt(
    share,
    beyond(point, (c) => `${c.toFixed(1)} °C`),
  );
}

export const FLUID_SUMS: readonly Sum[] = [
  {
    code: 'stick',
    title: say.stickToLitres,
    formula: say.targetLevelSpanThreeQuarters,
    source: say.levelAsAShareBetween,
    fields: [
      figureField('level', say.levelOnTheStick, 'level', -0.5, 2, 0.2),
      figureField('target', say.target, 'level', 0, 1, 1),
      figureField('span', say.betweenTheMarks, 'L', 0.05, 20, 1.2),
    ],
    work: (v) => {
      const advice = stickToLitres(v.number('level'), v.number('target'), v.number('span'));
      if (advice.status === 'right') return [say.nothingToAdd];
      if (advice.status === 'remove') return [say.takeOut(amount('volume', advice.litres))];
      return [
        say.addInAll(amount('volume', advice.litres)),
        say.firstSettleReadAgain(amount('volume', advice.firstLitres)),
      ];
    },
  },
  {
    code: 'oil-used',
    title: say.oilUsed,
    formula: say.topUpsLevelThenLevel,
    source: say.houseLimitsAndLPer(OIL_USED_LIMITS.advisory, OIL_USED_LIMITS.fail),
    fields: [
      figureField('added', say.toppedUp, 'L', 0, 100, 1.3),
      figureField('then', say.levelThen, 'level', -0.5, 2, 0.9),
      figureField('now', say.levelNow, 'level', -0.5, 2, 0.4),
      figureField('span', say.betweenTheMarks, 'L', 0.05, 20, 1),
      figureField('km', say.distance, 'km', 1, 100_000, 6200),
    ],
    work: (v) => {
      const used = oilUsed(v.number('added'), v.number('then'), v.number('now'), v.number('span'), v.number('km'));
      const grade = oilUseGrade(used);
      return [grade === 'not-told' ? say.oilDoesNotGrow(used.toFixed(3)) : say.lPer1000Km(used.toFixed(3), grade)];
    },
  },
  {
    code: 'glycol',
    title: say.glycolAndFreezePoint,
    formula: say.straightLinesBetweenTheRows,
    source: say.ashraeByVolumeOutsideThe,
    fields: [
      choiceField('kind', say.glycol, GLYCOLS),
      figureField('share', say.shareOfGlycol, '%', 0, 100, 30, true),
      figureField('freeze', say.orFreezePoint, '°C', -80, 10, '', true),
    ],
    work: (v) => {
      const kind = v.choice('kind', GLYCOLS);
      const share = v.maybe('share');
      const freeze = v.maybe('freeze');
      return [
        ...(share === null ? [] : [freezes(share, kind)]),
        ...(freeze === null
          ? []
          : [
              say.cAShareOf(
                freeze,
                beyond(glycolShare(freeze, kind), (p) => `${p.toFixed(1)} %`),
              ),
            ]),
        ...(share === null && freeze === null ? [say.giveAShareOrA] : []),
      ];
    },
  },
  {
    code: 'raise',
    title: say.raiseTheShareOfGlycol,
    formula: say.drainVCCC,
    source: say.coldNoPressureOldCoolant,
    fields: [
      figureField('litres', say.wholeSystem, 'L', 0.5, 200, 7.5),
      figureField('now', say.shareNow, '%', 0, 100, 32),
      figureField('wanted', say.wanted, '%', 0, 100, 50),
      figureField('refill', say.shareOfTheRefill, '%', 1, 100, 100),
    ],
    work: (v) => {
      const litres = drainToRaise(
        v.number('litres'),
        v.number('now') / 100,
        v.number('wanted') / 100,
        v.number('refill') / 100,
      );
      if (litres === null) return [say.thisRefillIsTooWeak];
      return litres === 0 ? [say.itIsStrongEnough] : [say.drainLAndRefillAs(litres.toFixed(2))];
    },
  },
  {
    code: 'boiling',
    title: say.brakeFluidBoilingPointFrom,
    formula: say.straightLineFromTheDry,
    source: say.brakeFluidSource,
    fields: [choiceField('grade', common.fluid, BRAKE_FLUID_GRADES), figureField('water', say.water, '%', 0, 20, 2)],
    work: (v) => {
      const celsius = boilingFromWater(v.choice('grade', BRAKE_FLUID_GRADES), v.number('water'));
      return [celsius === null ? say.beyondTheWetPointThe : say.about(amount('boiling', celsius))];
    },
  },
  {
    code: 'drips',
    title: say.drips,
    formula: say.dripFormula,
    source: say.aboutDropsDifferHours24,
    fields: [
      figureField('drops', say.dropsAMinute, '/min', 0, 600, 4),
      figureField('hours', say.hoursOfDrippingADay, 'h', 0, 24, 2),
      figureField('litres', say.fromNowToTheMinimum, 'L', 0, 100, 1, true),
    ],
    work: (v) => {
      const loss = dripLoss(v.number('drops'), v.number('hours'), v.maybe('litres'));
      return [
        say.mlAnHourOfDripping(loss.mlPerHour.toFixed(0), loss.mlPerDay.toFixed(0)),
        ...(loss.daysToMinimum === null ? [] : [say.daysToTheMinimum(loss.daysToMinimum.toFixed(1))]),
      ];
    },
  },
];
