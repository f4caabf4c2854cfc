import { DRIVES, MEASURES, pressureAtReference, standardUncertainty, recordOf } from '@weskopos/core';
import { CORNERS, partLeft, rotationOf, seasonOrLeak } from '@weskopos/core/desk';
import { amount, capital, houseRules, placeWords, roughMeter } from '../../words/show';
import { choiceField, figureField, type Sum } from './sum';

/** Standard uncertainty of a tyre gauge, kPa. */
const GAUGE_U_KPA = standardUncertainty(MEASURES.pressure, 1);
const YES_NO = ['no', 'yes'] as const;
const corner = (place: string) => capital(placeWords(place, 2));

export const TYRE_SUMS: readonly Sum[] = [
  {
    code: 'pressure',
    title: 'Pressure at 20 °C',
    formula: '(p + p atm) · T ref / T − p atm, in kelvin',
    source: 'Gas at constant volume; standard atmosphere 101.325 kPa. Cold tyre, or its own temperature read.',
    fields: [
      figureField('kpa', 'Gauge pressure', 'kPa', 0, 1200, 220),
      figureField('celsius', 'Tyre temperature', '°C', -60, 120, 0),
    ],
    work: (v) => [`${amount('pressure', pressureAtReference(v.number('kpa'), v.number('celsius')))} at 20 °C`],
  },
  {
    code: 'season',
    title: 'Season or leak',
    formula: 'residual = measured change − change by temperature; common = second highest residual',
    source:
      'A tyre 7 kPa and three standard uncertainties below the common loses by itself. Ask first whether it was inflated.',
    fields: [
      figureField('days', 'Days between', 'step', 1, 2000, 61),
      figureField('thenC', 'Temperature then', '°C', -60, 60, 20),
      figureField('nowC', 'Temperature now', '°C', -60, 60, 0),
      ...CORNERS.flatMap((place) => [
        figureField(`then${place}`, `${corner(place)}, then`, 'kPa', 0, 1200, 240),
        figureField(`now${place}`, `${corner(place)}, now`, 'kPa', 0, 1200, place === '2R' ? 197 : 217),
        choiceField(`air${place}`, `${corner(place)}: inflated since?`, YES_NO),
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
      ).map(({ place, verdict, residualKpa, perMonthKpa }) => {
        const told = {
          'own-loss': `loses by itself, ${amount('pressure', perMonthKpa ?? 0)} a month`,
          'with-the-others': 'with the others: the season',
          'inflated-since': 'inflated since: tells nothing',
        }[verdict];
        return `${corner(place)}: ${told} (${amount('pressure', residualKpa)} besides the temperature)`;
      }),
  },
  {
    code: 'rotation',
    title: 'Rotation',
    formula: 'front drive: fronts straight back, rears cross; else rears straight forward, fronts cross',
    source:
      'The house rule comes first: best at the rear never puts the worse pair there; even out brings tread to where it wears.',
    fields: [
      ...CORNERS.map((place) =>
        figureField(place, `${corner(place)}, least tread`, 'mm', 0, 25, place.startsWith('1') ? 4 : 7),
      ),
      figureField('spare', 'Spare that may run, tread', 'mm', 0, 25, '', true),
      choiceField('drive', 'Driven wheels', DRIVES),
      choiceField('directional', 'Directional tyres', YES_NO),
      choiceField('staggered', 'Front and rear differ in size', YES_NO),
    ],
    work: (v) => {
      const answer = rotationOf({
        tread: recordOf(CORNERS, (place) => v.number(place)),
        spare: v.maybe('spare'),
        drive: v.choice('drive', DRIVES),
        directional: v.text('directional') === 'yes',
        staggered: v.text('staggered') === 'yes',
        house: houseRules().bestTyres,
      });
      if (answer.status === 'leave')
        return [
          answer.why === 'staggered'
            ? 'Leave them: front and rear differ in size.'
            : 'Leave them: nothing is gained under the house rule.',
        ];
      return CORNERS.map((to) => {
        const from = answer.from[to];
        return `To ${placeWords(to, 2)}: from ${from === 'SP' ? 'the spare' : placeWords(from, 2)}`;
      });
    },
  },
  {
    code: 'part-left',
    title: 'Lining or tread left',
    formula: '(now − limit) / (new − limit); distance at the wear so far',
    source: 'Through the new value and one reading. The trend of the vehicle knows more.',
    fields: [
      figureField('fresh', 'New', 'mm', 1, 30, 11.6),
      figureField('now', 'Now', 'mm', 0, 30, 6),
      figureField('limit', 'Limit', 'mm', 0, 20, 1.5),
      figureField('km', 'Distance since new', 'km', 0, 1_000_000, 21_000),
      figureField('perDay', 'Distance a day', 'km', 0, 2000, 45, true),
    ],
    work: (v) => {
      const left = partLeft(v.number('fresh'), v.number('now'), v.number('limit'), v.number('km'), v.maybe('perDay'));
      return [
        `${Math.round(left.share * 100)} % of what may be worn is left`,
        left.distance === null ? 'Nothing has worn yet.' : `${roughMeter(left.distance, 'km')} to the limit`,
        ...(left.days === null ? [] : [`about ${Math.round(left.days)} days at this use`]),
      ];
    },
  },
];
