import type { Act } from '../acts/act';
import { NO_PROOF } from '../acts/act';
import type { EndKind } from '../acts/endKinds';
import { NO_DETAILS, type LifeEntry, type LifeEntryContent } from '../parts/lifeEntry';
import { CAR, inspectionOf } from '../tests/builders';
import { changeOfSets } from '../parts/tyreSets';
import { jobsOf, lastDone } from './jobsOf';

const inspection = inspectionOf(CAR, { meter: 50_000 });
const at = (hour: number) => `2026-06-01T${String(hour).padStart(2, '0')}:00:00.000Z`;
let made = 0;
const entry = (content: LifeEntryContent, hour: number): LifeEntry => {
  made += 1;
  return { id: `e${made}`, vehicleId: CAR.id, at: at(hour), meter: 49_000, ...content };
};
const closed = (end: EndKind, hour: number, litres: number | null = null): Act[] => {
  made += 1;
  const act = { inspectionId: inspection.id, at: at(hour) };
  return [
    { ...act, id: `o${made}`, kind: 'open', end, place: '', fasteners: null },
    { ...act, id: `c${made}`, kind: 'close', opens: `o${made}`, proof: { ...NO_PROOF, litres } },
  ];
};
const codes = (acts: readonly Act[], entries: readonly LifeEntry[] = []) =>
  jobsOf([{ inspection, acts }], entries).map(({ job }) => job.code);

test('a drained and filled engine is an oil change, a filter off and on a filter; setting the indicator back is neither', () => {
  const acts = [
    ...closed('drain-plug', 9),
    ...closed('oil-filter', 10),
    ...closed('oil-fill', 11, 5.1),
    ...closed('indicator', 12),
  ];
  expect(codes(acts)).toEqual(['oil-filter', 'engine-oil']);
  expect(
    lastDone(jobsOf([{ inspection, acts }], []), { code: 'engine-oil', name: 'whatever it is called' }),
  ).toMatchObject({ at: at(11), meter: 50_000, litres: 5.1 });
  const open = acts.filter((act) => act.kind !== 'close');
  expect(codes(open)).toEqual([]);
});

test('an axle drained and filled through its own plug is an axle oil; one whose fill plug was only looked through is none', () => {
  const both = [...closed('axle-fill-plug', 12, 1.4), ...closed('axle-plug', 10)];
  expect(jobsOf([{ inspection, acts: both }], [])).toMatchObject([
    { job: { code: 'axle-oil' }, at: at(12), litres: 1.4, meter: 50_000 },
  ]);
  expect(codes(closed('axle-fill-plug', 12, 1.4))).toEqual([]);
  expect(codes(closed('axle-plug', 12))).toEqual([]);
  expect(
    codes([...closed('gearbox-fill-plug', 11), ...closed('gearbox-plug', 10), ...closed('fuel-filter', 13)]),
  ).toEqual(['gearbox-oil', 'fuel-filter']);
  expect(codes(closed('coolant-drain', 9, 7.4))).toEqual(['coolant']);
});

test('entries tell jobs too, in the order they were done; what was taken back is none', () => {
  const fluid = entry({ kind: 'job', job: { code: 'brake-fluid', name: '' }, ...NO_DETAILS }, 8);
  const battery = entry({ kind: 'fit', what: 'battery', place: '', fresh: null, note: '' }, 7);
  const pads = entry({ kind: 'fit', what: 'pads', place: '1L', fresh: 12, note: '' }, 7);
  const moved = entry({ kind: 'rotate', moves: [] }, 13);
  expect(codes(closed('oil-fill', 9), [moved, fluid, battery, pads])).toEqual([
    'battery',
    'brake-fluid',
    'engine-oil',
    'rotation',
  ]);
  // Another set that is put on is moved over no axles.
  expect(codes([], [entry({ kind: 'rotate', moves: changeOfSets(['1L', '1R', '2L', '2R']) }, 13)])).toEqual([]);
  const undo = entry({ kind: 'undo', refers: fluid.id }, 14);
  expect(codes([], [fluid, undo])).toEqual([]);
  expect(
    lastDone(jobsOf([], [fluid, undo]), fluid.kind === 'job' ? fluid.job : { code: 'own', name: '' }),
  ).toBeUndefined();
});

test('a job of the workshop’s own is told by its name, however it is written', () => {
  const wax = entry({ kind: 'job', job: { code: 'own', name: 'Wax the sills' }, ...NO_DETAILS }, 8);
  expect(lastDone(jobsOf([], [wax]), { code: 'own', name: ' wax the SILLS ' })).toBeDefined();
  expect(lastDone(jobsOf([], [wax]), { code: 'own', name: 'Wash the sand out' })).toBeUndefined();
});
