import { randomUUID } from 'node:crypto';
import { execFileSync } from 'node:child_process';
import fs from 'node:fs/promises';
import path from 'node:path';
import { drawPhoto } from '../../../demo/src/drawPhoto';
import { asFile } from '../tests/bundles';
import { newFinding, openVisit, operationOf, startWorkshop, type TestWorkshop } from '../tests/workshop';

let workshop: TestWorkshop;
let visit: string;
let photo: string;

beforeAll(async () => {
  workshop = await startWorkshop();
  const { client } = workshop;
  await client.setUp(workshop.context.setupCode);
  const { inspection } = await openVisit(client);
  visit = inspection.id;
  photo = randomUUID();
  await client.send('POST', `/api/photos/${photo}`, await drawPhoto('pad', 0.5, 1), { 'content-type': 'image/jpeg' });
  const low = { measure: 'lining', spot: 'whole', phase: 'found', values: [1], bound: 'exact', step: null } as const;
  const marks = [{ kind: 'ring', x: 0.5, y: 0.5, radius: 0.2 } as const];
  await client.operations(
    operationOf(
      'finding.put',
      newFinding(visit, {
        readings: [low],
        photos: [{ id: photo, caption: 'worn to the steel', marks }],
        note: '<b>grinds</b> → ﷽',
      }),
    ),
    operationOf('finding.put', newFinding(visit, { point: 'tyre.tread', place: '2R', readings: [] })),
  );
});
afterAll(() => workshop.stop());

const fetchPdf = async (query = '', id = visit) => {
  const { base, cookie } = workshop.client;
  const response = await fetch(`${base}/api/inspections/${id}/report.pdf${query}`, { headers: { cookie } });
  return { response, bytes: Buffer.from(await response.arrayBuffer()) };
};
const read = (program: string, ...args: string[]) => execFileSync(program, args, { encoding: 'utf8' });

describe('a report as PDF, read by other programs', () => {
  test('is whole, tagged, has its faces in it, and says what the report says', async () => {
    const { response, bytes } = await fetchPdf();
    expect(response.headers.get('content-type')).toBe('application/pdf');
    const file = await asFile('report.pdf', bytes);
    expect(read('qpdf', '--check', file)).toContain('No syntax or stream encoding errors');
    const info = read('pdfinfo', file);
    expect(info).toMatch(/Tagged: +yes/);
    expect(info).toMatch(/Page size: .*A4/);
    const faces = read('pdffonts', file).split('\n').slice(2).filter(Boolean);
    expect(faces.length).toBeGreaterThan(1);
    for (const face of faces) expect(face).toMatch(/TrueType +Identity-H +yes yes yes/);
    expect(
      read('pdfimages', '-list', file)
        .split('\n')
        .filter((one) => one.includes('jpeg')),
    ).toHaveLength(1);
    const text = read('pdftotext', '-layout', file, '-');
    for (const said of [
      'Fail',
      'Inner pad',
      '1.0 mm',
      'worn to the steel',
      '<b>grinds</b>',
      'not seen',
      'Not signed yet',
    ])
      expect(text).toContain(said);
    expect(read('pdfinfo', '-struct-text', file)).toMatch(/H1[^]*Report, T/);
  });

  test('in German and to a keeper: no trade without its plain meaning, Letter, decimal commas', async () => {
    const { bytes } = await fetchPdf('?language=de&wording=keeper&size=LETTER');
    const file = await asFile('bericht.pdf', bytes);
    expect(read('pdfinfo', file)).toMatch(/Page size: .*letter/);
    const text = read('pdftotext', '-layout', file, '-').replace(/\s+/g, ' ');
    for (const said of [
      'Nicht bestanden',
      'Innerer Belag',
      '1,0 mm',
      'Bremsen müssen es anhalten',
      'Was gemessen wurde',
    ])
      expect(text).toContain(said);
    for (const own of ['Hausregeln', 'Every point', 'Inner pad']) expect(text).not.toContain(own);
    expect(read('qpdf', '--qdf', '--object-streams=disable', file, '-')).toContain('/Lang (de-DE)');
  });

  test('a photo that is gone is told in its place; the rest comes', async () => {
    const { sha256 } = (
      await workshop.context.engine.query<{ sha256: string }>('select sha256 from photo where id = $1::uuid', [photo])
    )[0] ?? { sha256: '' };
    const kept = path.join(workshop.folder, 'photos', sha256.slice(0, 2), `${sha256}.jpg`);
    await fs.rename(kept, `${kept}.away`);
    try {
      const { bytes } = await fetchPdf();
      const text = read('pdftotext', '-layout', await asFile('report.pdf', bytes), '-');
      expect(text).toContain('The photo is no longer there.');
      expect(text).toContain('Inner pad');
    } finally {
      await fs.rename(`${kept}.away`, kept);
    }
  });

  test('who asks for one that is being made gets that one; the way there is told', async () => {
    const { client } = workshop;
    let seen = 0;
    const both = Promise.all([fetchPdf('?size=A4'), fetchPdf('?size=A4')]);
    const watch = (async () => {
      for (let n = 0; n < 400; n += 1) {
        const { body } = await client.get(`/api/inspections/${visit}/report-progress`);
        seen = Math.max(seen, body.done);
        if (await Promise.race([both.then(() => true), new Promise((r) => setTimeout(() => r(false), 5))])) return;
      }
    })();
    const [one, other] = await both;
    await watch;
    expect(one.bytes.equals(other.bytes)).toBe(true);
    expect(seen).toBeGreaterThan(0);
    expect((await client.get(`/api/inspections/${visit}/report-progress`)).body).toEqual({ done: 0, of: 0 });
  });

  test.each([
    ['a language nobody ships', '?language=xx', undefined, 400],
    ['a paper nobody has', '?size=A3', undefined, 400],
    ['a visit nobody knows', '', randomUUID(), 404],
    ['no visit at all', '', 'nothing', 404],
  ])('%s is refused', async (_, query, id, status) => {
    expect((await fetchPdf(query, id)).response.status).toBe(status);
  });

  test('who is not signed in gets none', async () => {
    expect((await fetch(`${workshop.client.base}/api/inspections/${visit}/report.pdf`)).status).toBe(401);
  });
});
