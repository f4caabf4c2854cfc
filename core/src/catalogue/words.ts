/** Observation words by vocabulary: codes only, their spelling per language lives in the app. */
export const VOCABULARIES = {
  belt: [
    'print-worn',
    'ribs-cracked',
    'rib-missing',
    'frayed',
    'glazed',
    'oil-soaked',
    'slack',
    'noisy',
    'out-of-line',
  ],
  hose: [
    'soft',
    'hard',
    'crunchy',
    'bulged',
    'cracked',
    'chafed',
    'rubbing',
    'joint-weeping',
    'clip-loose',
    'clip-missing',
  ],
  tyre: [
    'centre-wear',
    'both-edge-wear',
    'inner-edge-wear',
    'outer-edge-wear',
    'cupping',
    'feathering',
    'flat-spot',
    'cut',
    'bulge',
    'cord-visible',
  ],
  valve: ['valve-perished', 'cap-missing'],
  brake: ['glazed', 'scored', 'cracked', 'contaminated', 'tapered', 'stuck-slide', 'indicator-touching'],
} as const;

export type Vocabulary = keyof typeof VOCABULARIES;
export type Word = (typeof VOCABULARIES)[Vocabulary][number];
export const WORDS = [...new Set(Object.values(VOCABULARIES).flat())] as Word[];
