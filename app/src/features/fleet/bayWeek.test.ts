/** @jest-environment node */
import type { YardEntry } from '@weskopos/contract';
import { CAR } from '@weskopos/core/tests/builders';
import type { AtVehicle } from '../yard/today';
import { bayWeek, endOfBayWeek } from './bayWeek';

const NOW = '2026-12-01T08:00:00.000Z';
const entry: YardEntry = { vehicle: CAR, standing: null, last: null, open: null, version: '' };
const turn = (at: string | null, minutes = 45): AtVehicle => ({ entry, list: [], planned: [], turn: at, minutes });

test('seven days from today, each with who comes and what they take together', () => {
  const due = [
    turn('2026-12-01T15:00:00.000Z'),
    turn('2026-12-03T06:00:00.000Z', 50),
    turn('2026-12-03T10:00:00.000Z'),
  ];
  const { late, days } = bayWeek(due, NOW);
  expect(late).toEqual([]);
  expect(days).toHaveLength(7);
  expect(days.map(({ vehicles, minutes }) => [vehicles.length, minutes])).toEqual([
    [1, 45],
    [0, 0],
    [2, 95],
    [0, 0],
    [0, 0],
    [0, 0],
    [0, 0],
  ]);
  expect(new Date(endOfBayWeek(NOW)).getTime()).toBeGreaterThan(days[6]?.day.getTime() ?? Infinity);
});

test('what was due before today comes before any day, once', () => {
  const over = turn('2026-11-20T08:00:00.000Z');
  const { late, days } = bayWeek([over, turn('2026-12-02T08:00:00.000Z')], NOW);
  expect(late).toEqual([over]);
  expect(days.flatMap(({ vehicles }) => vehicles)).toHaveLength(1);
});

test('a vehicle with planned works comes on their day, whatever else falls due', () => {
  const work = {
    id: 'w',
    task: { code: 'pads', point: null, name: '', place: '1' },
    urgency: 'by',
    state: 'planned',
    plannedOn: '2026-12-04',
    minutes: 90,
    saidAt: NOW,
    declines: 0,
    answered: false,
  } as const;
  const { late, days } = bayWeek([{ ...turn('2026-11-20T08:00:00.000Z', 135), planned: [work] }], NOW);
  expect(late).toEqual([]);
  expect(days[3]).toMatchObject({ minutes: 135, vehicles: [{ planned: [{ id: 'w' }] }] });
});
