/** @jest-environment node */
import { VOCABULARIES, type Vocabulary, type Word } from '@weskopos/core';
import { looks } from '@weskopos/words/en/looks';
import { DRAWN } from './drawn';
import { FRAME } from './drawing';
import { HELP_DRAWINGS, drawingOf, drawnWords } from './helpDrawings';

const all = DRAWN.flatMap((vocabulary) => drawnWords(vocabulary).map((word) => [vocabulary, word] as const));

test('what is said to be drawn is drawn, with its sentence, at least forty of them', () => {
  expect(Object.keys(HELP_DRAWINGS).sort()).toEqual([...DRAWN].sort());
  expect(all.length).toBeGreaterThan(80);
  for (const [vocabulary, word] of all)
    expect([word, looks[vocabulary]?.[word]]).toEqual([word, expect.stringMatching(/\w.*\.$/)]);
  const pictures = new Set(all.map(([vocabulary, word]) => JSON.stringify(drawingOf(vocabulary, word))));
  expect(pictures.size).toBeGreaterThan(80);
});

test('every drawing and sentence is of a word its part has', () => {
  const has = (vocabulary: Vocabulary): readonly Word[] => VOCABULARIES[vocabulary];
  for (const [vocabulary, told] of Object.entries({ ...HELP_DRAWINGS, ...looks }) as [Vocabulary, object][])
    for (const word of Object.keys(told)) expect(has(vocabulary)).toContain(word);
});

test('drawings stay in their frame', () => {
  for (const [vocabulary, word] of all)
    for (const { d } of drawingOf(vocabulary, word) ?? []) {
      expect(d).not.toMatch(/NaN|undefined/);
      // Where lines begin; what follows is mostly told as steps.
      for (const [, x, y] of d.matchAll(/M(-?[\d.]+) (-?[\d.]+)/g)) {
        expect(Number(x)).toBeGreaterThanOrEqual(0);
        expect(Number(x)).toBeLessThanOrEqual(FRAME.width);
        expect(Number(y)).toBeGreaterThanOrEqual(0);
        expect(Number(y)).toBeLessThanOrEqual(FRAME.height);
      }
    }
});
