import type { HouseQuestion } from '@weskopos/core';

/** What each rule of the house does, in one sentence. */
export const ruleEffect = {
  fluidChange:
    'Decides when a fluid or filter is due: by the maker, by the house’s own longest interval, or by its state alone.',
  hardUse: 'Shortens every interval of vehicles whose sheet says hard use.',
  liningAs: 'Decides in what pads and shoes are read and told; limits follow.',
  treadAs: 'Decides whether tread is read with a gauge or by its wear bars, which tell a bound and no trend.',
  lowBrakeFluid: 'Decides what is advised when brake fluid is low while pads are worn.',
  drainWasher: 'Decides what is asked of the washer when a drain plug is closed.',
  filterTightness: 'Decides how a spin-on filter is proved tight.',
  dipstickWhileFilling: 'Decides whether the stick stays in while oil is filled.',
  oilTarget: 'Decides up to where oil is filled.',
  draining: 'Decides whether the route warms the oil before it is drained.',
  bestTyres: 'Decides to which axle the better tyres are advised.',
  rotation: 'Decides which rotation is advised, if any.',
  dampSeal: 'Decides whether a damp seal is watched or an advisory at once.',
  nearLimit: 'Decides what a reading counts as that lies within its gauge’s noise of a limit.',
  positionWords: 'Decides what the sides of a vehicle are called everywhere.',
  traffic: 'Decides which side the kerb is on.',
  beginWith: 'Decides with which station a visit begins; the route still says what is quickest.',
} satisfies Record<HouseQuestion, string>;

/** What the house’s figures do. */
export const figureEffect = {
  sheet: 'Every reading, leak and word is judged by this sheet.',
  designLowC: 'Coolant and washer must stay liquid down to here.',
  hardUseFactor: 'An interval is multiplied by this where use is hard.',
  lookAhead:
    'A sound wear reading becomes an advisory when it falls under the fail limit before the next visit with this chance.',
  altitudeM: 'Tyre pressures are told at the air of this height.',
  carryDays: 'An older look at a level or pressure is not carried into a visit.',
  carryKm: 'Nor is one from farther back.',
  winterMonths: 'In these months winter-marked tyres have the limit of winter tyres.',
  units: 'Figures are read, typed and told in this unit; what is kept does not change.',
} as const;

export const figureQuestion = {
  sheet: 'Which limit sheet judges?',
  designLowC: 'Lowest temperature to expect?',
  hardUseFactor: 'Share of an interval that hard use leaves?',
  lookAhead: 'Chance that makes wear an advisory?',
  altitudeM: 'Height over the sea?',
  carryDays: 'How old may a carried look be?',
  carryKm: 'How far back may a carried look lie?',
  winterMonths: 'When are winter tyres judged as such?',
} as const;

export const unitLine = { of: (what: string) => `${what} in?`, none: 'never' };
