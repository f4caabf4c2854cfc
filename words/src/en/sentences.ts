import type { Forecast } from '@weskopos/core';

/** Sentences made of figures and words: how a language puts them together. */
export const sentences = {
  /** Figures are written with it. */
  decimalSign: '.',
  locale: 'en-GB',
  /** Whether nouns are small within a sentence. */
  smallWithin: true,
  /** Axle by number, first and last by name; no side for the whole axle, a twin for one of two tyres. */
  place: (axle: number | 'front' | 'rear', side: string | null, twin: 'i' | 'o' | null): string => {
    const named = typeof axle === 'number' ? `axle ${axle}` : axle;
    if (side === null) return typeof axle === 'number' ? named : `${named} axle`;
    return `${side} ${named}${twin === null ? '' : twin === 'o' ? ', outer' : ', inner'}`;
  },
  beforeDecade: 'before 2000',
  and: ' and ',
  or: ' or ',

  mustTell: (bound: string, value: string, edge: string, grade: string) =>
    `${bound} ${value}: whether it is under ${edge} (${grade}) a gauge must tell.`,
  reaches: (what: string) => `, and it reaches ${what}`,
  wipe: '. Wipe it and look again next time',
  goodOf: (good: number, of: number) => `${good} of ${of}.`,
  lit: (lamp: string, good: number, of: number, out: string) =>
    `${lamp}: ${good} of ${of} lit${out ? `, out: ${out}` : ''}.`,
  code: (code: string, state: string, gone: boolean) =>
    `Code ${code}, ${state}${gone ? '; cleared, and it did not come back' : ''}.`,
  ahead: (what: string, percent: number, limit: string, day: string) =>
    `${what} passes today; ${percent} % chance that it is under ${limit} before the next visit, about ${day}.`,
  pair: 'The other one of this axle is worn or leaks: both are renewed together.',
  sound: 'Looked at, nothing wrong.',
  notLookedAt: 'Not looked at yet.',
  notReached: (why: string) => `Not reached${why ? `: ${why}` : ''}.`,
  outOfCondition: (needs: string) => `Kept, but not judged: it wants ${needs}. Read it again then.`,
  partlySeen: (why: string) => `Only partly seen${why ? `: ${why}` : ''}.`,
  noReading: (of: string) => `No reading yet${of ? `: ${of}` : ''}.`,
  recorded: (why: string) => `Recorded; ${why}.`,
  under: 'under',
  atOrOver: 'at or over',
  over: 'over',
  edge: (grade: string, how: 'from' | 'under' | 'over') => `${grade} ${how}`,
  measureIt: 'measure it',
  isBeyond: (what: string, side: string, limit: string, basis: string) =>
    `${what} is ${side} ${limit}${basis ? ` (${basis})` : ''}.`,
  spread: (value: string) => `${value} between the most and the least worn place.`,
  across: (value: string) => `${value} different from the other side.`,
  freezes: (at: string, atMost: boolean, lowest: string) =>
    `Freezes at ${atMost ? 'or under ' : ''}${at} by its mixture; the lowest to expect is ${lowest}.`,
  freezesAt: (at: string, lowest: string) => `Freezes at ${at}; the lowest to expect is ${lowest}.`,
  twins: (value: string) => `${value} different from the other of the pair.`,
  frontRear: (value: string) => `${value} different from the other axle.`,
  innerOuter: (value: string) => `${value} between inner and outer pad.`,
  underMinimum: (value: string) => `${value} under the stamped minimum.`,
  aboveMinimum: (value: string) => `${value} above the stamped minimum.`,
  shareOfNew: (share: string, edge: string) => `${share} of new; ${edge}.`,
  ratedShare: (share: string, edge: string) => `${share} of the rated current; ${edge}.`,
  torqueShare: (share: string, edge: string) => `${share} of the torque of the spec sheet; ${edge}.`,
  age: (years: number, more: boolean, edge: string) => `${more ? 'More than ' : ''}${years} years old; ${edge}.`,
  per12: (value: string) => `${value} of a 12 V system`,
  asPlacard: 'as the placard',
  offPlacard: (percent: number, side: 'under' | 'over') => `${percent} % ${side} the placard`,
  pressureAt: (pressure: string, temperature: number, off: string, placard: string) =>
    `${pressure} at ${temperature} °C, ${off} (${placard}).`,
  limitSheet: 'the limit sheet',
  byHand: (why: string, grade: string, computed: string) => `Given by hand: ${why} Computed ${grade}: ${computed}`,

  lastUnknown: (job: string) => `${job}: last time not on record`,
  nextDue: (job: string, limits: string, capped: boolean) =>
    `Next ${job}: ${limits}${capped ? ', by the house cap' : ''}`,

  needsReadings: (want: number, have: number) =>
    `Needs ${want === 1 ? 'a reading' : `${want} readings`} of this part; has ${have === 0 ? 'none' : have}.`,
  isUnderNow: (limit: string) => `Is under ${limit} now.`,
  odd: ' The last reading is unlike the ones before: read it again.',
  notInTime: (limit: string) => `Does not reach ${limit} in any time one plans for.`,
  runsOut: (limit: string, when: string, far: string) =>
    `Reaches ${limit} ${when ? `${when}; ${far}` : far} (8 in 10).`,
  forecastFrom: {
    readings: '',
    fleet: ' Told by what the fleet wears: this part has one reading only.',
    general: ' General figures: one reading of this part, and nothing learned here yet of how such parts wear.',
  } satisfies Record<Extract<Forecast, { from: unknown }>['from'], string>,
  perhaps: (factor: string, percent: number) =>
    ` It may wear ${factor} times as fast lately (${percent} % sure): the range has both.`,
  held: (times: number) => ` Such ranges have held ${times} times in 10 here, not 8.`,
  pastAlready: 'It may be past its limit already: renew it, or measure it again now.',
  lookAgain: (day: string) => `Look again by ${day}, before it could be caught past its limit.`,
  likelyFar: (far: string) => `, most likely ${far}`,
  inAtLeast: (low: string) => `in ${low} at least, with no upper end yet`,
  inBetween: (low: string, high: string) => `in ${low} to ${high}`,
  withinWeeks: (low: number, high: number, day: string) => `within ${low} to ${high} weeks of ${day}`,
  likelyIn: (month: string) => `, most likely in ${month}`,
  notBefore: (when: string) => `not before ${when}`,
  betweenDates: (from: string, to: string) => `between ${from} and ${to}`,
  partOfMonth: (part: 'early' | 'mid' | 'end', month: string) =>
    part === 'early' ? `early ${month}` : part === 'mid' ? `mid-${month}` : `the end of ${month}`,
};
