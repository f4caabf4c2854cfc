import { bad, badFace, box, crack, disc, drop, each, face, line, type Drawing } from '../drawing';

/** A ribbed belt, ribs towards us. */
const RIBS = [face(box(6, 14, 84, 32)), line('M6 20H90M6 26H90M6 33H90M6 40H90', 'soft', 2)];
const PULLEYS = [face(disc(20, 30, 13)), face(disc(76, 30, 13)), line(disc(20, 30, 4)), line(disc(76, 30, 4))];

export const BELT = {
  'print-worn': [
    face(box(6, 14, 84, 32)),
    line('M14 24h8M26 24h8M38 24h5', 'ink', 3),
    bad('M50 24h2M56 24h1M62 24h2M14 36h2M24 36h1M36 36h2M48 36h1M60 36h2', 2),
  ],
  'ribs-cracked': [...RIBS, bad('M16 14v12M28 20v13M40 14v12M52 26v14M64 14v19M78 20v13', 2)],
  'rib-missing': [...RIBS, { d: box(36, 26, 26, 7), face: 'ground', line: 'bad', width: 2 }],
  frayed: [...RIBS, bad('M30 46q-3 5 2 9M40 46q4 4 0 10M52 46q-4 5 1 8M62 46q5 4 2 9M72 46q-2 5 3 8', 1.5)],
  glazed: [...RIBS, bad('M14 44L30 16M36 44L52 16M58 44L74 16', 3)],
  'oil-soaked': [
    ...RIBS,
    badFace(
      each(
        [
          [24, 16],
          [48, 24],
          [70, 18],
        ],
        (x, y) => drop(x, y, 12),
      ),
    ),
  ],
  slack: [...PULLEYS, bad('M20 17Q48 34 76 17M20 43Q48 58 76 43', 3)],
  noisy: [
    ...PULLEYS,
    line('M20 17H76M20 43H76', 'ink', 3),
    bad('M42 24q6 6 0 12M49 20q10 10 0 20M56 16q14 14 0 28', 2),
  ],
  'out-of-line': [
    face(box(10, 8, 10, 36)),
    face(box(74, 20, 10, 36)),
    bad('M20 20L74 32M20 32L74 44', 2.5),
    line('M20 26H70', 'soft', 1),
  ],
} satisfies Record<string, Drawing>;

/** A hose across the picture. */
const HOSE = [face('M4 20H92V40H4Z')];
const CLIP = face(box(70, 16, 8, 28), 'ground');

export const HOSE_LOOKS = {
  soft: [face('M4 20H36Q48 32 60 20H92V40H60Q48 30 36 40H4Z'), bad('M48 8v12M44 15l4 5l4 -5M48 52v-12M44 45l4 -5l4 5')],
  hard: [...HOSE, bad('M48 6v10M42 6h12M48 54v-10M42 54h12'), line('M30 20v20M66 20v20', 'soft', 1)],
  crunchy: [
    ...HOSE,
    bad(
      each(
        [
          [22, 26],
          [36, 34],
          [50, 25],
          [62, 33],
          [76, 27],
        ],
        (x, y) => `M${x - 4} ${y}l3 3l2 -5l3 4`,
      ),
      1.5,
    ),
  ],
  bulged: [face('M4 20H32Q48 2 64 20H92V40H64Q48 58 32 40H4Z'), bad('M32 20Q48 2 64 20M32 40Q48 58 64 40', 3)],
  cracked: [
    ...HOSE,
    bad(
      `${crack(20, 20, [3, 6], [-2, 5])}${crack(40, 40, [-3, -6], [3, -5])}${crack(58, 20, [2, 7], [-3, 4])}${crack(76, 40, [2, -7])}`,
    ),
  ],
  chafed: [...HOSE, badFace('M34 20Q48 28 62 20Z'), line('M34 12H62', 'soft', 4)],
  rubbing: [...HOSE, face(box(42, 4, 12, 18), 'ground'), bad('M36 22h24M38 25h20', 2)],
  'joint-weeping': [...HOSE, CLIP, badFace(drop(66, 41, 11))],
  'clip-loose': [...HOSE, face('M68 12l9 2l3 32l-9 2Z', 'ground', 'bad'), bad('M84 14v8M84 38v8', 2)],
  'clip-missing': [...HOSE, { d: box(70, 16, 8, 28), line: 'bad', width: 2 }, bad('M70 16l8 28M78 16l-8 28', 1.5)],
} satisfies Record<string, Drawing>;
