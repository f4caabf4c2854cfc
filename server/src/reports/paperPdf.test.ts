import type { Paper, PaperBlock, PaperRow } from '@weskopos/words/paper/paper';
import { execFileSync } from 'node:child_process';
import sharp from 'sharp';
import { asFile } from '../tests/bundles';
import { paperPdf, type PdfNeeds } from './pdf/paperPdf';

const picture = sharp({ create: { width: 48, height: 36, channels: 3, background: '#765' } })
  .jpeg()
  .toBuffer();
const needs: PdfNeeds = { photo: () => picture, code: () => picture, madeAt: new Date('2026-12-02T08:00:00.000Z') };
const paperOf = (...blocks: PaperBlock[]): Paper => ({
  title: 'Report, FH 01',
  over: 'Morrick',
  locale: 'en-GB',
  blocks,
});
const pdfOf = async (blocks: readonly PaperBlock[], size: 'A4' | 'LETTER' = 'A4', given = needs) =>
  asFile('paper.pdf', await paperPdf(paperOf(...blocks), size, given));
const read = (program: string, ...args: string[]) => execFileSync(program, args, { encoding: 'utf8' });
const textOf = (file: string) => read('pdftotext', '-layout', file, '-');
const pagesOf = (file: string) => Number(/Pages: +(\d+)/.exec(read('pdfinfo', file))?.[1]);

const row = (change: Partial<PaperRow> = {}): PaperRow => ({
  key: 'k',
  grade: 'fail',
  carried: false,
  name: 'Inner pad',
  word: 'Fail',
  why: 'Under its limit.',
  source: '',
  value: '1.0 mm',
  photos: [],
  graded: null,
  ...change,
});
const rows = (...all: PaperRow[]): PaperBlock => ({ kind: 'rows', title: 'Worst first', level: 2, rows: all });
const line = (text: string) => ({ text, weight: 'plain' }) as const;

test('of hundreds of rows none is lost, and pages are counted', async () => {
  const names = Array.from({ length: 300 }, (_, n) => `Point number ${n} of many`);
  const blocks = [0, 100, 200].map((from) =>
    rows(
      ...names.slice(from, from + 100).map((name, n) => row({ key: `${from + n}`, name, why: 'Why. '.repeat(n % 40) })),
    ),
  );
  const file = await pdfOf(blocks);
  const text = textOf(file);
  for (const name of names) expect(text).toContain(name);
  const pages = text.split('\f').filter((one) => one.trim() !== '');
  expect(pages).toHaveLength(pagesOf(file));
  for (const [at, page] of pages.entries()) {
    expect(page).toContain(`Page ${at + 1} of ${pages.length}`);
  }
});

test('a heading stands on the page of what it heads, wherever it would have fallen', async () => {
  let [first, next] = [0, 0];
  for (let before = 34; before < 56; before += 1) {
    const lines = Array.from({ length: before }, (_, n) => line(`line ${n}`));
    const head: PaperBlock = { kind: 'lines', title: 'What it is', lines: [line('what it heads')] };
    const pages = textOf(await pdfOf([{ kind: 'lines', title: null, lines }, head])).split('\f');
    const at = pages.findIndex((page) => page.includes('What it is'));
    expect(pages[at]).toContain('what it heads');
    if (at === 0) first += 1;
    else next += 1;
  }
  // It was tried on both sides of a page's end.
  expect(Math.min(first, next)).toBeGreaterThan(2);
});

test('a text longer than a page goes on over the next ones, whole', async () => {
  const long = Array.from({ length: 4000 }, (_, n) => `word${n}`).join(' ');
  const file = await pdfOf([{ kind: 'lines', title: 'Note', lines: [line(long)] }, rows(row({ why: long }))]);
  const words = textOf(file).match(/word\d+/g) ?? [];
  expect(new Set(words).size).toBe(4000);
  expect(pagesOf(file)).toBeGreaterThan(4);
  expect(read('qpdf', '--check', file)).toContain('No syntax or stream encoding errors');
});

test.each([
  ['a word without a gap', 'x'.repeat(5000)],
  ['letters the face has not', '车辆 🚗 ﷽ \u202e right to left'],
  ['what looks like markup', '<script>alert(1)</script> & (\\) %%EOF endobj'],
  ['control letters', 'a\u0007b\tc'],
  ['nothing', ''],
])('%s harms nothing', async (_, text) => {
  const file = await pdfOf([
    { kind: 'lines', title: text || null, lines: [line(text)] },
    rows(row({ name: text, why: text, source: text, value: text })),
    { kind: 'warning', text: text || 'warning' },
    { kind: 'table', title: 'Table', head: ['a', 'b', 'c'], rows: [[text, text, text]] },
    { kind: 'small', text },
  ]);
  expect(read('qpdf', '--check', file)).toContain('No syntax or stream encoding errors');
  expect(pagesOf(file)).toBeGreaterThan(0);
});

test('a signature is kept in one piece; a word no line holds is broken and read whole', async () => {
  const signature = 'Ab3+'.repeat(22);
  const word = Array.from({ length: 900 }, (_, n) => String.fromCharCode(97 + (n % 26))).join('');
  const text = textOf(
    await pdfOf([
      { kind: 'lines', title: null, lines: [{ text: `Ed25519 ${signature}`, weight: 'soft' }, line(word)] },
    ]),
  );
  expect(text).toContain(signature);
  expect(text.replace(/\s/g, '')).toContain(word);
});

test('sixty photos stand in their order, each with what it is of; those that are gone say so', async () => {
  const photo = (n: number) => ({
    id: String(n),
    caption: `caption ${n}`,
    marks: [],
    of: 'Pad',
    label: `Pad, photo ${n}`,
  });
  const photos = Array.from({ length: 60 }, (_, n) => photo(n));
  const asked: string[] = [];
  const given: PdfNeeds = {
    ...needs,
    photo: (id) => {
      asked.push(id);
      return id === '7' ? Promise.resolve(null) : picture;
    },
  };
  const file = await pdfOf([{ kind: 'photos', title: 'As it came', photos }], 'LETTER', given);
  expect(asked).toEqual(photos.map(({ id }) => id));
  const text = textOf(file);
  for (const { caption } of photos) expect(text).toContain(caption);
  expect(text.replace(/\s+/g, ' ')).toContain('The photo is no longer there.');
  const pictures = read('pdfimages', '-list', file).split('\n').slice(2).filter(Boolean);
  expect(pictures).toHaveLength(59);
  // Who does not see them hears what they are of.
  const plain = read('qpdf', '--qdf', '--object-streams=disable', file, '-');
  expect(plain.match(/\/S \/Figure/g)).toHaveLength(59);
});

test('photos of today and of the last visit stand beside each other, told by their day', async () => {
  const photo = (id: string) => ({ id, caption: '', marks: [], of: 'Pad', label: `Pad ${id}` });
  const file = await pdfOf([
    rows(
      row({
        photos: [
          { when: 'Now', photos: [photo('a')] },
          { when: 'Last visit, 1 Oct 2026', photos: [photo('b')] },
        ],
      }),
    ),
  ]);
  expect(textOf(file)).toMatch(/Now +Last visit, 1 Oct 2026/);
});

test('a table is one to a reader that does not see it: a row of headings, then the cells', async () => {
  const body = [
    ['Inner pad', '1.0 mm', 'Fail'],
    ['Tread', '4.2 mm', 'Pass'],
  ];
  const file = await pdfOf([{ kind: 'table', title: 'Measured', head: ['Point', 'Read', 'Result'], rows: body }]);
  const told = read('pdfinfo', '-struct-text', file);
  expect(told.match(/\bTR\b/g)).toHaveLength(3);
  expect(told.match(/\bTH\b/g)).toHaveLength(3);
  expect(told.match(/\bTD\b/g)).toHaveLength(6);
  const depth = (tag: string) => /^ */.exec(told.split('\n').find((one) => one.trim() === tag) ?? '')?.[0].length ?? 0;
  expect(depth('TR')).toBeGreaterThan(depth('Table'));
  expect(depth('TD (block)') || depth('TD')).toBeGreaterThan(depth('TR'));
  expect(told.indexOf('Point')).toBeLessThan(told.indexOf('Inner pad'));
});

test('the same paper is the same file, whoever makes it and when', async () => {
  const bytes = async () => paperPdf(paperOf(rows(row())), 'A4', needs);
  const [one, other] = [await bytes(), await bytes()];
  // Only the file's own name for itself may differ.
  const plain = (file: Buffer) => file.toString('latin1').replace(/\/ID \[[^\]]*\]/, '');
  expect(plain(one)).toBe(plain(other));
});

test('how far it is is told block by block', async () => {
  const heard: [number, number][] = [];
  await paperPdf(paperOf(rows(row()), { kind: 'small', text: 'end' }), 'A4', {
    ...needs,
    onBlock: (done, of) => heard.push([done, of]),
  });
  expect(heard).toEqual([
    [1, 2],
    [2, 2],
  ]);
});
