import { bad, badFace, box, crack, disc, drop, each, face, line, type Drawing } from '../drawing';

/** Disc on edge between two pads on their plates. */
const DISC = face(box(43, 4, 10, 52), 'ground');
const PLATES = [face(box(14, 10, 6, 40), 'ink'), face(box(76, 10, 6, 40), 'ink')];
const PADS = [DISC, ...PLATES, face(box(20, 10, 20, 40)), face(box(56, 10, 20, 40))];
/** Disc from the front. */
const FRONT = [face(disc(48, 30, 27)), face(disc(48, 30, 11), 'ground')];

export const BRAKE = {
  glazed: [...PADS, bad('M24 44L36 16M60 44L72 16', 3)],
  scored: [...PADS, bad('M40 18h3M40 26h3M40 34h3M40 42h3M53 18h3M53 26h3M53 34h3M53 42h3', 2.5)],
  cracked: [...PADS, bad(crack(20, 26, [8, 3], [4, -4], [8, 5]), 2.5)],
  contaminated: [
    ...PADS,
    badFace(
      each(
        [
          [30, 14],
          [66, 26],
        ],
        (x, y) => drop(x, y, 13),
      ),
    ),
  ],
  tapered: [DISC, ...PLATES, face('M20 10H40V50H30Z'), face(box(56, 10, 20, 40)), bad('M20 10L30 50', 3)],
  'stuck-slide': [
    DISC,
    ...PLATES,
    face(box(20, 10, 20, 40)),
    face(box(56, 10, 8, 40)),
    bad('M8 30H20M10 24l10 12M20 24l-10 12', 2.5),
  ],
  'indicator-touching': [DISC, ...PLATES, face(box(20, 10, 20, 40)), face(box(68, 10, 8, 40)), bad('M76 50L54 54', 3)],
} satisfies Record<string, Drawing>;

export const DISC_LOOKS = {
  scored: [...FRONT, bad(`${disc(48, 30, 16)}${disc(48, 30, 20)}${disc(48, 30, 24)}`, 1.5)],
  cracked: [...FRONT, bad(crack(59, 30, [6, -3], [4, 3], [6, -2]), 2.5)],
  lip: [
    line('M8 56H88', 'soft'),
    face('M20 56V10H28V14H44V56Z', 'ground'),
    face('M76 56V10H68V14H52V56Z', 'ground'),
    badFace(`${box(20, 10, 8, 6)}${box(68, 10, 8, 6)}`),
  ],
  blued: [
    ...FRONT,
    {
      d: each(
        [
          [30, 20],
          [64, 18],
          [68, 40],
          [32, 44],
        ],
        (x, y) => disc(x, y, 5),
      ),
      face: 'blue',
    },
  ],
  contaminated: [
    ...FRONT,
    badFace(
      each(
        [
          [32, 18],
          [66, 30],
        ],
        (x, y) => drop(x, y, 12),
      ),
    ),
  ],
} satisfies Record<string, Drawing>;

/** A brake hose between its two ends. */
const ENDS = [face(box(4, 22, 14, 16), 'ground'), face(box(78, 22, 14, 16), 'ground')];

export const BRAKE_HOSE = {
  cracked: [
    ...ENDS,
    line('M18 30Q48 50 78 30', 'ink', 8),
    bad(
      each(
        [
          [30, 34],
          [42, 38],
          [54, 38],
          [66, 34],
        ],
        (x, y) => `M${x} ${y - 4}l2 8`,
      ),
      2.5,
    ),
  ],
  bulged: [...ENDS, line('M18 30Q48 50 78 30', 'ink', 8), badFace(disc(48, 39, 10))],
  chafed: [...ENDS, line('M18 30Q48 50 78 30', 'ink', 8), bad('M40 36h16', 4), line('M40 30h16', 'soft', 3)],
  twisted: [...ENDS, line('M18 30C34 50 42 14 54 34S70 40 78 30', 'ink', 6), bad('M36 16q10 -8 20 0M52 12l4 4l-5 3')],
} satisfies Record<string, Drawing>;
