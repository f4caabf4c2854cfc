import { NO_DETAILS, type LifeEntryContent, type LifeEntryKind } from '@weskopos/core';
import { randomUUID } from 'node:crypto';
import { openVisit, operationOf, startWorkshop, type TestWorkshop } from '../tests/workshop';

let workshop: TestWorkshop;
beforeAll(async () => {
  workshop = await startWorkshop();
  await workshop.client.setUp(workshop.context.setupCode);
});
afterAll(() => workshop.stop());

const JOB = { code: 'coolant', name: '' } as const;
/** One of every kind there is. */
const EVERY: {
  readonly [K in Exclude<LifeEntryKind, 'misread' | 'undo' | 'work-step' | 'work-cost'>]: Extract<
    LifeEntryContent,
    { kind: K }
  >;
} = {
  fit: { kind: 'fit', what: 'battery', place: '', fresh: null, note: '' },
  rotate: {
    kind: 'rotate',
    moves: [
      { from: '1L', to: '2L' },
      { from: '2L', to: '1L' },
    ],
  },
  fuel: { kind: 'fuel', litres: 40, full: true, price: null },
  'top-up': { kind: 'top-up', fluid: 'urea', litres: 5 },
  meter: { kind: 'meter' },
  job: { kind: 'job', job: JOB, ...NO_DETAILS, litres: 6.5, numbers: 'G 40', paper: 'invoice' },
  'not-known': { kind: 'not-known', job: JOB, paper: 'service book' },
  plan: { kind: 'plan', distance: 900, until: '2026-09-01T08:00:00.000Z' },
  work: {
    kind: 'work',
    task: { code: 'pads', point: null, name: '', place: '1' },
    reasons: [
      {
        kind: 'runs-out',
        point: 'pad.inner',
        place: '1L',
        spot: 'whole',
        at: '2026-05-01T08:00:00.000Z',
        from: '2026-08-01',
        to: null,
      },
    ],
    urgency: 'by',
    from: '2026-08-01',
    to: '2026-10-01',
    minutes: 80,
    parts: [{ name: 'Pad set', number: 'P 4', count: 1 }],
    note: 'slides too',
  },
};

test('an entry of every kind is kept as it was told, and comes back with who told it', async () => {
  const { vehicle, inspection } = await openVisit(workshop.client);
  const told = (content: LifeEntryContent) =>
    ({ id: randomUUID(), vehicleId: vehicle.id, at: '2026-06-01T08:00:00.000Z', meter: null, ...content }) as const;
  const misread = {
    kind: 'misread',
    inspectionId: inspection.id,
    point: 'tyre.tread',
    place: '1L',
    spot: 'outer',
  } as const;
  const entries = [...Object.values(EVERY), misread].map(told);
  const undo = told({ kind: 'undo', refers: entries[0]?.id ?? '' });
  const work = entries.find(({ kind }) => kind === 'work')?.id ?? '';
  const step = { kind: 'work-step', refers: work, step: 'planned', words: '', on: '2026-09-01', keeper: '' } as const;
  const parts = [{ name: 'Pad set', number: 'P 5', count: 1 }];
  const cost = told({ kind: 'work-cost', refers: work, minutes: null, parts });
  const all = [...entries, undo, told(step), cost];
  // What is said of something that is no work is said of nothing.
  const astray = told({ ...step, refers: entries[0]?.id ?? '' });
  const outcomes = await workshop.client.operations(...all.map((entry) => operationOf('entry.put', entry)));
  expect(outcomes.map(({ status }) => status)).toEqual(all.map(() => 'applied'));
  const [refused] = await workshop.client.operations(operationOf('entry.put', astray));
  expect(refused).toMatchObject({ status: 'refused', refusal: 'no-entry' });
  const works = (await workshop.client.get('/api/works')).body as { kind: string }[];
  expect(works.map(({ kind }) => kind).sort()).toEqual(['undo', 'work', 'work-cost', 'work-step']);
  const { body } = await workshop.client.get(`/api/vehicles/${vehicle.id}/life`);
  const byId = (list: readonly { readonly id: string }[]) => [...list].sort((a, b) => a.id.localeCompare(b.id));
  expect(byId(body.entries)).toEqual(byId(all.map((entry) => ({ ...entry, by: 'Maren' }))));
});
