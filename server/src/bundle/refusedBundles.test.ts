import type { Manifest } from '@weskopos/contract';
import { createHash } from 'node:crypto';
import { fetchBundle, linesOf, sendBundle, unzipped, zipped, type Entries } from '../tests/bundles';
import { fullWorkshop, gretasWorkshop } from '../tests/bundleWorld';
import type { TestWorkshop } from '../tests/workshop';

let archive: Buffer;
let entries: Entries;
const started: TestWorkshop[] = [];
const another = () => gretasWorkshop(started);

beforeAll(async () => {
  const { workshop } = await fullWorkshop();
  archive = await fetchBundle(workshop.client);
  entries = await unzipped(archive);
  await workshop.stop();
});
afterAll(async () => {
  for (const one of started) await one.stop();
});

/** The archive with some entries said otherwise, its manifest true to them. */
async function changed(change: Readonly<Record<string, string | null>>, manifestOf = (one: Manifest): unknown => one) {
  const all = new Map<string, Buffer>([...entries].filter(([name]) => name !== 'manifest.json'));
  for (const [name, text] of Object.entries(change)) {
    if (text === null) all.delete(name);
    else all.set(name, Buffer.from(text));
  }
  const manifest = JSON.parse(String(entries.get('manifest.json'))) as Manifest;
  const named = [...all].map(([path, bytes]) => ({
    path,
    bytes: bytes.length,
    sha256: createHash('sha256').update(bytes).digest('hex'),
  }));
  return zipped([...all, ['manifest.json', JSON.stringify(manifestOf({ ...manifest, entries: named }))]]);
}
const jsonl = (lines: readonly unknown[]) => lines.map((line) => `${JSON.stringify(line)}\n`).join('');

describe('what is no sound bundle is refused, by entry, line and field, and nothing of it is kept', () => {
  // The signed one first: vehicles come by their ids, which are made anew each time.
  const visits = () => linesOf(entries, 'visits').sort((a, b) => Number(b.grade !== null) - Number(a.grade !== null));
  const wrong: readonly (readonly [string, () => Promise<Buffer>, object])[] = [
    ['no archive', () => Promise.resolve(Buffer.from('hello')), { code: 'bundle-no-zip' }],
    ['an archive cut off', () => Promise.resolve(archive.subarray(0, archive.length - 400)), { code: 'bundle-no-zip' }],
    [
      'no manifest',
      () => zipped([...entries].filter(([name]) => name !== 'manifest.json')),
      { code: 'bundle-no-manifest' },
    ],
    ['another format', () => changed({}, (one) => ({ ...one, format: 'other' })), { code: 'bundle-no-manifest' }],
    ['a newer bundle', () => changed({}, (one) => ({ ...one, version: 2 })), { code: 'bundle-newer' }],
    [
      'newer records',
      () => changed({}, (one) => ({ ...one, records: { ...one.records, finding: 99 } })),
      { code: 'bundle-newer', detail: expect.stringContaining('finding of version 99') },
    ],
    [
      'an entry nobody named',
      () => changed({}, (one) => ({ ...one, entries: one.entries.slice(1) })),
      { code: 'bundle-entry-unnamed', detail: 'vehicles.jsonl' },
    ],
    [
      'an entry that is not there',
      () => zipped([...entries].filter(([name]) => name !== 'visits.jsonl')),
      { code: 'bundle-entry-missing', detail: 'visits.jsonl' },
    ],
    [
      'a wrong hash',
      () =>
        zipped(
          [...entries].map(([name, bytes]) => [name, name === 'entries.jsonl' ? `${String(bytes)} ` : bytes] as const),
        ),
      { code: 'bundle-hash', detail: 'entries.jsonl' },
    ],
    [
      'a name twice',
      () => zipped([...entries, ['visits.jsonl', ''] as const]),
      { code: 'bundle-twice', detail: 'visits.jsonl' },
    ],
    ['a file that is none of it', () => changed({ 'run.sh': 'true' }), { code: 'bundle-name', detail: 'run.sh' }],
    [
      'a name that leads out of its folder',
      // No writer makes such a name: it is put in place of one as long.
      async () =>
        Buffer.from((await changed({ 'aa/b.sh': '' })).toString('latin1').replaceAll('aa/b.sh', '../b.sh'), 'latin1'),
      { code: 'bundle-name' },
    ],
    [
      'a signature of another text',
      () =>
        changed({
          'signatures.jsonl': jsonl(
            linesOf(entries, 'signatures').map((one) => ({
              ...one,
              document: one.document.replace('goes on', 'went on'),
            })),
          ),
        }),
      { code: 'bundle-lines', errors: [{ message: 'the hash of its document, signed by its key' }] },
    ],
    [
      'a key by the name of another',
      () =>
        changed({ 'keys.jsonl': jsonl(linesOf(entries, 'keys').map((one) => ({ ...one, id: '0123456789abcdef' }))) }),
      { code: 'bundle-lines', errors: [{ message: 'a public key by the first digits of its own hash' }] },
    ],
    [
      'what unfolds too far',
      () => changed({ 'entries.jsonl': ' '.repeat(4_000_000) }),
      { code: 'bundle-too-large', detail: 'entries.jsonl' },
    ],
    [
      'a line that is no JSON',
      () => changed({ 'entries.jsonl': '{"a":\n' }),
      { code: 'bundle-lines', errors: [{ field: 'entries.jsonl, line 1', code: 'no-json' }] },
    ],
    [
      'figures that cannot be',
      () =>
        changed({
          'visits.jsonl': jsonl(
            visits().map((one, at) => (at === 0 ? { ...one, inspection: { ...one.inspection, ambientC: 300 } } : one)),
          ),
        }),
      { code: 'bundle-lines', errors: [{ field: 'visits.jsonl, line 1: inspection.ambientC' }] },
    ],
    [
      'a reading out of its range',
      () =>
        changed({
          'visits.jsonl': jsonl(
            visits().map((one) => ({
              ...one,
              findings: one.findings.map((finding: { readings: object[] }) => ({
                ...finding,
                readings: finding.readings.map((reading) => ({ ...reading, values: [900] })),
              })),
            })),
          ),
        }),
      {
        code: 'bundle-lines',
        errors: expect.arrayContaining([
          { field: 'visits.jsonl, line 1: findings.0', code: 'custom', message: expect.stringContaining('allowed') },
        ]),
      },
    ],
    [
      'a record twice',
      () => changed({ 'entries.jsonl': `${String(entries.get('entries.jsonl')).repeat(2)}` }),
      { code: 'bundle-lines', errors: [{ message: 'each record once' }] },
    ],
    [
      'a visit to a vehicle nobody knows',
      () => changed({ 'vehicles.jsonl': '' }),
      { code: 'bundle-lines', errors: [{ message: 'a vehicle of the bundle or of this workshop' }] },
    ],
    [
      'rules that are not there',
      () => changed({ 'rulebooks.jsonl': '' }),
      { code: 'bundle-lines', errors: [{ message: '0 to 0' }] },
    ],
    [
      'a signature without a name',
      () => changed({ 'visits.jsonl': jsonl(visits().map((one) => ({ ...one, signedBy: null }))) }),
      {
        code: 'bundle-lines',
        errors: expect.arrayContaining([expect.objectContaining({ field: 'visits.jsonl, line 1: signedBy' })]),
      },
    ],
  ];

  test('each of them', async () => {
    const fresh = await another();
    for (const [name, make, expected] of wrong) {
      const answer = await sendBundle(fresh.client, await make());
      expect([name, answer.status, answer.body]).toEqual([name, 400, expect.objectContaining(matching(expected))]);
    }
    expect((await fresh.client.get('/api/yard')).body).toEqual([]);
  }, 60_000);

  test('a photo that is another picture, or tells where it was taken', async () => {
    const fresh = await another();
    const [row] = linesOf(entries, 'photos');
    const bytes = Buffer.from('no picture');
    const sha256 = createHash('sha256').update(bytes).digest('hex');
    const wrongPhoto = await changed({
      [`photos/${row.sha256}.jpg`]: null,
      [`photos/${sha256}.jpg`]: bytes.toString(),
      'photos.jsonl': jsonl([{ ...row, sha256 }]),
    });
    expect(await sendBundle(fresh.client, wrongPhoto)).toMatchObject({
      status: 400,
      body: { errors: [{ field: `photos/${sha256}.jpg`, code: 'not-a-picture' }] },
    });
    const unnamed = await changed({ [`photos/${row.sha256}.jpg`]: null });
    expect(await sendBundle(fresh.client, unnamed)).toMatchObject({
      status: 400,
      body: { errors: [{ message: 'a photo whose file is in the bundle' }] },
    });
  });
});

/** Lists of errors are matched item by item, by what is told of each. */
function matching(expected: object): object {
  return Object.fromEntries(
    Object.entries(expected).map(([key, value]: [string, unknown]) => [
      key,
      Array.isArray(value) ? value.map((one: object) => expect.objectContaining(one)) : value,
    ]),
  );
}
