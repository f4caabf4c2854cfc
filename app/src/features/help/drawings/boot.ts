import { bad, badFace, box, crack, disc, each, face, line, type Drawing } from '../drawing';

/** A shaft, its bellows and the clips at both ends. */
const SHAFT = line('M2 30H94', 'soft', 6);
const BELLOWS = face(
  'M14 20L26 14L32 22L40 10L48 20L56 8L64 18L72 6L84 8V52L72 54L64 42L56 52L48 40L40 50L32 38L26 46L14 40Z',
);
const CLIPS = [face(box(13, 18, 5, 24), 'ground'), face(box(80, 5, 5, 50), 'ground')];

export const BOOT = {
  split: [SHAFT, BELLOWS, ...CLIPS, bad('M56 10q5 8 0 16q-5 8 1 14', 4)],
  'clip-lost': [SHAFT, BELLOWS, face(box(80, 5, 5, 50), 'ground'), { d: box(12, 17, 6, 26), line: 'bad', width: 2 }],
  'grease-flung': [
    SHAFT,
    BELLOWS,
    ...CLIPS,
    badFace(
      each(
        [
          [50, 4],
          [62, 3],
          [44, 56],
          [60, 57],
          [70, 58],
          [34, 6],
          [30, 55],
        ],
        (x, y) => disc(x, y, 2.6),
      ),
    ),
  ],
  perished: [
    SHAFT,
    BELLOWS,
    ...CLIPS,
    bad(
      each(
        [
          [28, 22],
          [40, 20],
          [42, 38],
          [56, 22],
          [58, 40],
          [72, 20],
          [72, 40],
        ],
        (x, y) => crack(x, y, [3, 3], [-1, 4]),
      ),
      1.5,
    ),
  ],
  'slipped-off': [
    SHAFT,
    face('M4 20L16 14L22 22L30 10L38 20L46 8L54 18L60 14V46L54 42L46 52L38 40L30 50L22 38L16 46L4 40Z'),
    face(box(78, 14, 8, 32), 'ground'),
    bad('M62 30H76M70 25l6 5l-6 5'),
  ],
} satisfies Record<string, Drawing>;

/** A coil spring between its seats. */
const COIL = 'M30 10L66 16L30 24L66 30L30 38L66 44';
const SEATS = [line('M22 6H74M22 54H74', 'soft', 4)];

export const SPRING = {
  'end-broken': [...SEATS, line(COIL, 'ink', 4), line('M66 44L48 50', 'soft', 1), bad('M60 40l10 8M70 40l-10 8', 2.5)],
  'cracked-coil': [...SEATS, line(`${COIL}L40 52`, 'ink', 4), bad(crack(46, 22, [4, 5], [-4, 3], [4, 5]), 2.5)],
  'seat-wrong': [line('M22 6H74', 'soft', 4), bad('M22 52L74 56', 4), line(`${COIL}L40 52`, 'ink', 4)],
} satisfies Record<string, Drawing>;

/** A damper: rod above, body below. */
const DAMPER = [line('M48 2V22', 'ink', 5), face(box(36, 22, 24, 34))];

export const DAMPER_LOOKS = {
  'rod-wet': [...DAMPER, badFace('M36 22h24q2 14 -4 22q-3 -10 -8 -4q-6 8 -12 -4Z')],
  'body-dented': [line('M48 2V22', 'ink', 5), face('M36 22H60V32Q50 40 60 46V56H36Z'), bad('M60 32Q50 40 60 46', 3)],
  'bush-torn': [
    line('M48 24V58', 'ink', 5),
    face(disc(48, 16, 13)),
    face(disc(48, 16, 5), 'ground'),
    bad(crack(52, 12, [5, -4], [1, -4]), 2.5),
  ],
} satisfies Record<string, Drawing>;
