import { en, type Dictionary } from './en';

/** What is told of a vehicle on paper and to its keeper: as much of the dictionary as a second language has to have. */
export type Tongue = Pick<
  Dictionary,
  | 'grade'
  | 'watch'
  | 'corrected'
  | 'point'
  | 'narrowPoint'
  | 'ownPoint'
  | 'system'
  | 'spot'
  | 'measure'
  | 'stop'
  | 'deck'
  | 'side'
  | 'sideInitial'
  | 'state'
  | 'accessReason'
  | 'meterAnswer'
  | 'basis'
  | 'word'
  | 'fluid'
  | 'stage'
  | 'reach'
  | 'leakPlace'
  | 'lamp'
  | 'codeState'
  | 'glitterWhy'
  | 'namedStep'
  | 'need'
  | 'notJudged'
  | 'template'
  | 'load'
  | 'bound'
  | 'job'
  | 'house'
  | 'school'
  | 'end'
  | 'said'
  | 'paper'
  | 'keeperPage'
  | 'worksTold'
>;

/** The language things are told in now. One for the whole program, like the house's units; English but for {@link inTongue}. */
export let told: Tongue = en;

/** From here on things are told in that language; for a thread that tells one thing only. */
export function speak(tongue: Tongue): void {
  told = tongue;
}

/** Tells something in another language. What is told must be told at once: nothing may be waited for in between. */
export function inTongue<T extends string | object>(tongue: Tongue, tell: () => T): T {
  const before = told;
  told = tongue;
  try {
    return tell();
  } finally {
    told = before;
  }
}
