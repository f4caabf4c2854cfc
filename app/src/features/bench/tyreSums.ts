import { DRIVES, MEASURES, pressureAtReference, standardUncertainty, recordOf } from '@weskopos/core';
import { CORNERS, partLeft, rotationOf, seasonOrLeak } from '@weskopos/core/desk';
import { amount, capital, houseRules, placeWords, roughMeter } from '@weskopos/words/show';
import { choiceField, figureField, type Sum } from './sum';
import { bench as say } from '@weskopos/words/en/pages/bench';
import { common } from '@weskopos/words/en/pages/common';

/** Standard uncertainty of a tyre gauge, kPa. */
const GAUGE_U_KPA = standardUncertainty(MEASURES.pressure, 1);
const YES_NO = ['no', 'yes'] as const;
const corner = (place: string) => capital(placeWords(place, 2));

export const TYRE_SUMS: readonly Sum[] = [
  {
    code: 'pressure',
    title: say.pressureAt20C,
    formula: say.pPAtmTRef,
    source: say.gasAtConstantVolumeStandard,
    fields: [
      figureField('kpa', say.gaugePressure, 'kPa', 0, 1200, 220),
      figureField('celsius', say.tyreTemperature, '°C', -60, 120, 0),
    ],
    work: (v) => [
      say.at20C(amount('pressure', pressureAtReference(v.number('kpa'), v.number('celsius'), houseRules().altitudeM))),
    ],
  },
  {
    code: 'season',
    title: say.seasonOrLeak,
    formula: say.residualMeasuredChangeChangeBy,
    source: say.aTyre7KpaAnd,
    fields: [
      figureField('days', say.daysBetween, 'step', 1, 2000, 61),
      figureField('thenC', say.temperatureThen, '°C', -60, 60, 20),
      figureField('nowC', say.temperatureNow, '°C', -60, 60, 0),
      ...CORNERS.flatMap((place) => [
        figureField(`then${place}`, say.then(corner(place)), 'kPa', 0, 1200, 240),
        figureField(`now${place}`, say.cornerNow(corner(place)), 'kPa', 0, 1200, place === '2R' ? 197 : 217),
        choiceField(`air${place}`, say.inflatedSince(corner(place)), YES_NO),
      ]),
    ],
    work: (v) =>
      seasonOrLeak(
        CORNERS.map((place) => ({
          place,
          beforeKpa: v.number(`then${place}`),
          beforeC: v.number('thenC'),
          nowKpa: v.number(`now${place}`),
          nowC: v.number('nowC'),
          inflatedSince: v.text(`air${place}`) === 'yes',
        })),
        v.number('days'),
        GAUGE_U_KPA,
        houseRules().altitudeM,
      ).map(({ place, verdict, residualKpa, perMonthKpa }) => {
        const told = {
          'own-loss': say.losesByItselfAMonth(amount('pressure', perMonthKpa ?? 0)),
          'with-the-others': say.withTheOthersTheSeason,
          'inflated-since': say.inflatedSinceTellsNothing,
        }[verdict];
        return say.besidesTheTemperature(corner(place), told, amount('pressure', residualKpa));
      }),
  },
  {
    code: 'rotation',
    title: say.rotation,
    formula: say.frontDriveFrontsStraightBack,
    source: say.theHouseRuleComesFirst,
    fields: [
      ...CORNERS.map((place) =>
        figureField(place, say.leastTread(corner(place)), 'mm', 0, 25, place.startsWith('1') ? 4 : 7),
      ),
      figureField('spare', say.spareThatMayRunTread, 'mm', 0, 25, '', true),
      choiceField('drive', common.drivenWheels, DRIVES),
      choiceField('directional', say.directionalTyres, YES_NO),
      choiceField('staggered', say.frontAndRearDifferIn, YES_NO),
    ],
    work: (v) => {
      const answer = rotationOf({
        tread: recordOf(CORNERS, (place) => v.number(place)),
        spare: v.maybe('spare'),
        drive: v.choice('drive', DRIVES),
        directional: v.text('directional') === 'yes',
        staggered: v.text('staggered') === 'yes',
        house: houseRules(),
      });
      if (answer.status === 'leave') return [say.leaveThem[answer.why]];
      return CORNERS.map((to) => {
        const from = answer.from[to];
        return say.toFrom(placeWords(to, 2), from === 'spare' ? say.theSpare : placeWords(from, 2));
      });
    },
  },
  {
    code: 'part-left',
    title: say.liningOrTreadLeft,
    formula: say.nowLimitNewLimitDistance,
    source: say.throughTheNewValueAnd,
    fields: [
      figureField('fresh', common.newOne, 'mm', 1, 30, 11.6),
      figureField('now', say.now, 'mm', 0, 30, 6),
      figureField('limit', say.limit, 'mm', 0, 20, 1.5),
      figureField('km', say.distanceSinceNew, 'km', 0, 1_000_000, 21_000),
      figureField('perDay', say.distanceADay, 'km', 0, 2000, 45, true),
    ],
    work: (v) => {
      const left = partLeft(v.number('fresh'), v.number('now'), v.number('limit'), v.number('km'), v.maybe('perDay'));
      return [
        say.ofWhatMayBeWorn(Math.round(left.share * 100)),
        left.distance === null ? say.nothingHasWornYet : say.toTheLimit(roughMeter(left.distance, 'km')),
        ...(left.days === null ? [] : [say.aboutDaysAtThisUse(Math.round(left.days))]),
      ];
    },
  },
];
