import type { AuditAnswer, KeeperLink, Letter, Life } from '@weskopos/contract';
import { worksOf } from '@weskopos/core/works/worksOf';
import { randomUUID } from 'node:crypto';
import { drawPhoto } from '../../../demo/src/drawPhoto';
import {
  blankDatabase,
  newFinding,
  openVisit,
  operationOf,
  startWorkshop,
  type Client,
  type TestWorkshop,
} from '../tests/workshop';

let workshop: TestWorkshop;
let maren: Client;
let vehicleId: string;
let works: string[];
let photo: string;
/** Of the same thing, taken at a visit before. */
let earlier: string;
let secret: string;

const workOf = (name: string) =>
  ({
    kind: 'work',
    task: { code: 'own', point: null, name, place: '' },
    reasons: [],
    urgency: 'next-visit',
    from: null,
    to: null,
    minutes: null,
    parts: [],
    note: '',
  }) as const;
const letter = (): Letter => ({
  language: 'en',
  vehicle: 'FH 07 <b>quarry</b>',
  from: 'Harbour workshop',
  verdict: 'It can be driven.',
  stops: false,
  works: works.map((id, at) => ({
    id,
    name: ['Brake pads', 'Brake fluid', 'Wipers'][at] ?? 'Work',
    plain: '',
    why: 'worn',
    when: 'soon',
    price: at === 0 ? '€155.27, with €24.79 tax.' : '',
    photos: at === 0 ? [{ id: photo, caption: 'inner pad' }] : [],
    before: at === 0 ? { id: earlier, caption: '', at: '2026-03-01T08:00:00.000Z' } : null,
  })),
  cautions: [],
});
const give = async (days = 30) => {
  const { status, body } = await maren.send('POST', `/api/vehicles/${vehicleId}/links`, { letter: letter(), days });
  if (status !== 200) throw new Error(JSON.stringify(body));
  return body as { id: string; token: string; until: string };
};
/** As a keeper's phone asks: no cookie, no header of ours. */
const open = async (token: string, suffix = '') => {
  const response = await fetch(`${maren.base}/k/${token}${suffix}`, { redirect: 'manual' });
  return { status: response.status, headers: response.headers, text: await response.text() };
};
const answer = async (token: string, fields: Record<string, string>) => {
  const response = await fetch(`${maren.base}/k/${token}`, {
    method: 'POST',
    body: new URLSearchParams(fields),
    redirect: 'manual',
  });
  return { status: response.status, text: await response.text() };
};
const board = async () => {
  const { entries } = (await maren.get(`/api/vehicles/${vehicleId}/life`)).body as Life;
  return worksOf(entries).map(({ task, state, steps }) => [
    task.name,
    state,
    steps.map(({ step, words, keeper }) => [step, words, keeper].join('|')),
  ]);
};

beforeAll(async () => {
  workshop = await startWorkshop();
  maren = workshop.client;
  await maren.setUp(workshop.context.setupCode);
  const { vehicle, inspection } = await openVisit(maren);
  vehicleId = vehicle.id;
  [photo, secret, earlier] = [randomUUID(), randomUUID(), randomUUID()];
  for (const id of [photo, secret, earlier])
    await maren.send('POST', `/api/photos/${id}`, await drawPhoto('leak', 0.4, 7), { 'content-type': 'image/jpeg' });
  await maren.operations(
    operationOf('finding.put', newFinding(inspection.id, { photos: [{ id: photo, caption: '', marks: [] }] })),
  );
  works = [randomUUID(), randomUUID(), randomUUID()].sort();
  const stamp = { vehicleId, at: '2026-06-01T08:00:00.000Z', meter: null };
  await maren.operations(
    ...works.map((id, at) =>
      operationOf('entry.put', { id, ...stamp, ...workOf(['Brake pads', 'Brake fluid', 'Wipers'][at] ?? '') }),
    ),
  );
});
afterAll(() => workshop.stop());

test('whoever has the link sees what he is told, and its photos; nobody else does', async () => {
  const { token } = await give();
  expect(Buffer.from(token, 'base64url')).toHaveLength(16);
  const page = await open(token);
  expect(page.status).toBe(200);
  expect(page.text).toContain('Brake pads');
  expect(page.text).toContain('FH 07 &lt;b&gt;quarry&lt;/b&gt;');
  // Its one program is ours, and it does without: both pictures stand there by themselves.
  expect(page.text.match(/<script[^]*?<\/script>/g)).toEqual(['<script src="/keeper-photos.js" defer></script>']);
  expect(page.text).toContain('Before, 1 Mar 2026');
  expect(page.text.match(/€155\.27/g)).toHaveLength(1);
  expect((await open(token, `/photos/${earlier}/thumb`)).status).toBe(200);
  const program = await fetch(`${maren.base}/keeper-photos.js`);
  expect(program.headers.get('content-type')).toContain('text/javascript');
  expect(page.headers.get('cache-control')).toBe('no-store');
  expect(page.headers.get('referrer-policy')).toBe('no-referrer');
  expect((await open(token, `/photos/${photo}/thumb`)).status).toBe(200);
  expect((await open(token, `/photos/${secret}`)).status).toBe(404);
  expect((await open(`${token}x`)).status).toBe(404);
  expect((await open(token, '/photos/x')).status).toBe(404);
  // Kept by its hash: nobody reads it out of the database.
  const [row] = await workshop.context.engine.query<{ all: string }>(
    'select row_to_json(l)::text as all from keeper_link l',
  );
  expect(row?.all).not.toContain(token);
});

test('answers are written down in his name; the last counts, all are kept', async () => {
  const { token } = await give();
  const [pads = '', fluid = '', wipers = ''] = works;
  const first = { name: ' Greta ', [`a-${pads}`]: 'agreed', [`a-${fluid}`]: 'declined', [`w-${fluid}`]: 'in May' };
  expect((await answer(token, { ...first, [`w-${wipers}`]: 'Which ones? <b>' })).status).toBe(303);
  expect(await board()).toEqual([
    ['Brake pads', 'agreed', ['agreed||Greta']],
    ['Brake fluid', 'declined', ['declined|in May|Greta']],
    ['Wipers', 'asked', ['asked|Which ones? <b>|Greta']],
  ]);
  expect((await open(token, '?thanks=1')).text).toContain('Which ones? &lt;b&gt;');
  expect((await answer(token, { name: 'Greta', [`a-${fluid}`]: 'agreed' })).status).toBe(303);
  expect((await board())[1]).toEqual(['Brake fluid', 'agreed', ['declined|in May|Greta', 'agreed||Greta']]);
});

test('what cannot be taken is told at its field, and what was typed stays; nothing is half taken', async () => {
  const { token } = await give();
  const [pads = '', fluid = ''] = works;
  const before = await board();
  const noName = await answer(token, { [`a-${pads}`]: 'agreed', [`w-${pads}`]: 'with care' });
  expect(noName.status).toBe(422);
  expect(noName.text).toContain('Please type your name.');
  expect(noName.text).toContain('with care');
  expect(noName.text).toContain('value="agreed" checked');
  const long = await answer(token, { name: 'Greta', [`a-${pads}`]: 'agreed', [`w-${fluid}`]: 'x'.repeat(10_000) });
  expect(long.status).toBe(422);
  expect(long.text).toContain('At most 2000 letters; these are 10000.');
  expect((await answer(token, { name: 'Greta', [`a-${pads}`]: 'asked' })).text).toContain('Please type your question.');
  expect((await answer(token, { name: 'Greta', [`a-${pads}`]: 'stolen' })).text).toContain('at least one');
  expect((await answer(token, { name: 'G'.repeat(61), for: 'all' })).text).toContain('At most 60 letters.');
  expect(await board()).toEqual(before);
});

test('yes to all is one press; an answer to what is done already is kept and changes nothing', async () => {
  const { token } = await give();
  const [pads = ''] = works;
  const done = { kind: 'work-step', refers: pads, step: 'done', words: '', on: null, keeper: '' } as const;
  const at = new Date().toISOString();
  await maren.operations(operationOf('entry.put', { id: randomUUID(), vehicleId, at, meter: null, ...done }));
  expect((await open(token)).text).toContain('This is done.');
  expect((await answer(token, { name: 'Greta', for: 'all' })).status).toBe(303);
  const now = await board();
  expect(now.map(([name, state]) => [name, state])).toEqual([
    ['Brake pads', 'done'],
    ['Brake fluid', 'agreed'],
    ['Wipers', 'agreed'],
  ]);
  expect(now[0]?.[2]).toContain('agreed||Greta');
});

test('a link that is withdrawn or expired opens nothing, by any way; who gave it is on the audit list', async () => {
  const { id, token } = await give();
  const old = await give();
  await workshop.context.engine.query(`update keeper_link set until = now() - interval '1 day' where id = $1`, [
    old.id,
  ]);
  expect((await maren.send('DELETE', `/api/links/${id}`)).status).toBe(200);
  expect((await maren.send('DELETE', `/api/links/${id}`)).status).toBe(404);
  const before = await board();
  for (const gone of [token, old.token]) {
    expect((await open(gone)).status).toBe(410);
    expect((await open(gone, `/photos/${photo}`)).status).toBe(410);
    expect((await answer(gone, { name: 'Greta', for: 'all' })).status).toBe(410);
  }
  expect(await board()).toEqual(before);
  const { lines } = (await maren.send('POST', '/api/audit', { kind: 'link.end', personId: null, before: null }))
    .body as AuditAnswer;
  expect(lines).toMatchObject([{ by: 'Maren' }]);
  const list = (await maren.get(`/api/vehicles/${vehicleId}/links`)).body as { id: string; endedAt: string | null }[];
  expect(list.find((one) => one.id === id)?.endedAt).not.toBeNull();
  expect(JSON.stringify(list)).not.toContain(token);
});

test('a keeper who reads German is spoken to in German, also where he is asked again', async () => {
  const german = { ...letter(), language: 'de' as const };
  const { body } = await maren.send('POST', `/api/vehicles/${vehicleId}/links`, { letter: german, days: 30 });
  const page = await open(body.token);
  expect(page.text).toContain('<html lang="de">');
  for (const said of ['Ja, bitte machen', 'Jetzt nicht', 'Vorher, 1. März 2026']) expect(page.text).toContain(said);
  expect(page.text).not.toContain('Not now');
  expect((await answer(body.token, { for: 'all' })).text).toContain('Bitte geben Sie Ihren Namen an.');
});

test('a letter that was told before there was a second language is English, and shows no picture of before', async () => {
  const { token, id } = await give();
  await workshop.context.engine.query(
    `update keeper_link set letter = (letter - 'language') || jsonb_build_object('works',
       (select jsonb_agg(work - 'before') from jsonb_array_elements(letter->'works') work)) where id = $1::uuid`,
    [id],
  );
  const page = await open(token);
  expect(page.text).toContain('Yes, do it');
  expect(page.text).not.toContain('class="pair"');
});

test('a letter that says too much or nothing is refused by its field; so is a vehicle that is not here', async () => {
  const told = (change: Partial<Letter>, days = 30, vehicle = vehicleId) =>
    maren.send('POST', `/api/vehicles/${vehicle}/links`, { letter: { ...letter(), ...change }, days });
  expect((await told({ works: [] })).body).toMatchObject({ errors: [{ field: 'letter.works' }] });
  expect((await told({ verdict: 'x'.repeat(401) })).body).toMatchObject({ errors: [{ field: 'letter.verdict' }] });
  expect((await told({}, 0)).body).toMatchObject({ errors: [{ field: 'days' }] });
  expect((await told({}, 30, randomUUID())).status).toBe(404);
});

test('guessing is slowed down before it gets anywhere', async () => {
  const statuses = await Promise.all(Array.from({ length: 70 }, () => open(randomUUID()).then(({ status }) => status)));
  expect(new Set(statuses)).toEqual(new Set([404, 429]));
  // Where it is from the same address, a keeper with a link is told to wait as well.
  expect(statuses.filter((one) => one === 404).length).toBeLessThanOrEqual(60);
});

test('links and answers come back from the journal', async () => {
  const before = await board();
  // One was made to expire behind the journal's back above.
  const given = async () =>
    ((await maren.get(`/api/vehicles/${vehicleId}/links`)).body as KeeperLink[]).map(({ id, givenAt }) => [
      id,
      givenAt,
    ]);
  const links = await given();
  expect(links.length).toBeGreaterThan(5);
  await workshop.pause();
  await blankDatabase(workshop.folder);
  workshop = await startWorkshop({ dataFolder: workshop.folder });
  maren = workshop.client;
  await maren.send('POST', '/api/session', { name: 'Maren', secret: '112358' });
  expect(await board()).toEqual(before);
  expect(await given()).toEqual(links);
});
