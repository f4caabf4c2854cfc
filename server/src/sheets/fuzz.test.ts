import { findingSchema, inspectionSchema, lifeEntrySchema, vehicleSchema } from '@weskopos/contract';
import { USUAL_HOUSE_RULES } from '@weskopos/core';
import { takeEntries } from '@weskopos/core/sheets/entryRows';
import type { SheetCell } from '@weskopos/core/sheets/readCell';
import { takeReadings } from '@weskopos/core/sheets/readingRows';
import type { DoubtAnswers } from '@weskopos/core/sheets/rowFate';
import { SHEET_DOUBTS } from '@weskopos/core/sheets/rowReader';
import { SHEET_FIELDS, SHEET_KINDS, type SheetField, type SheetKind } from '@weskopos/core/sheets/sheetKinds';
import { takeVehicles } from '@weskopos/core/sheets/vehicleRows';
import fc from 'fast-check';
import { newVehicle } from '../tests/workshop';
import { idOf } from './sheetPlanner';

/** Cells as tables of others have them, and as nobody would think of. */
const CELLS: readonly SheetCell[] = [
  ...[
    '',
    ' ',
    'FH 1',
    '2026-05-02',
    '2.5.2026',
    '31.02.2026',
    '48000',
    '48 000,5',
    '1e9',
    '-3',
    '0',
    '5.2',
    '52',
    'NaN',
  ],
  ...['tread', 'tyre.tread', 'pad.inner', 'battery', '1L', 'front left', '9Z', 'outer', 'mm', 'psi', 'exact', 'over'],
  ...[
    'fuel',
    'meter',
    'engine oil',
    'yes',
    'maybe',
    'tyre',
    'Oil change',
    'own',
    'car',
    'spaceship',
    '2020',
    '1066',
    'km',
  ],
  ...['\u0000', 'a\u0000b', '\ud800', 'x'.repeat(600), '=1+1', '__proto__', 'constructor', '\u202e', '１２', '٣'],
  ...[0, -1, 1e308, Number.NaN, Infinity, 46_000, 46_000.5, true, false, null],
  new Date('2026-05-02T00:00:00Z'),
  new Date(Number.NaN),
];
const KEEP_ALL = Object.fromEntries(SHEET_DOUBTS.map((code) => [code, 'keep'])) as DoubtAnswers;
const vehicle = newVehicle({ fleetCode: 'FH 1' });
const NOW = '2026-06-01T09:00:00.000Z';

const columnsOf = (kind: SheetKind) =>
  (Object.keys(SHEET_FIELDS[kind]) as SheetField[]).map((field) => ({ field, unit: null, at: null }));

test.each(SHEET_KINDS)('whatever cells a table of %s has, what is made of it is as its record says', (kind) => {
  const columns = columnsOf(kind);
  const row = fc.array(fc.oneof(fc.constantFrom(...CELLS), fc.string()), {
    minLength: columns.length,
    maxLength: columns.length,
  });
  // A row that means something, with some of its cells spoiled.
  const good: Readonly<Partial<Record<SheetField, SheetCell>>> = {
    vehicle: 'FH 1',
    at: '2026-05-02',
    meter: '48000',
    point: 'tread',
    place: '1L',
    spot: 'outer',
    value: '5.2',
    kind: 'fuel',
    litres: '40',
    job: 'Oil',
    what: 'tyre',
    fleetCode: 'FH 9',
    year: '2020',
    class: 'car',
  };
  const likely = fc
    .array(fc.record({ at: fc.nat(columns.length - 1), cell: fc.constantFrom(...CELLS) }), { maxLength: 3 })
    .map((spoils) => {
      const cells: SheetCell[] = columns.map(({ field }) => good[field] ?? '');
      for (const { at, cell } of spoils) cells[at] = cell;
      return cells;
    });
  let made = 0;
  fc.assert(
    fc.property(
      fc.array(fc.oneof(row, likely), { minLength: 1, maxLength: 8 }),
      fc.constantFrom('point', 'comma'),
      (cells, decimal) => {
        const rows = cells.map((one, n) => ({ row: n + 2, cells: one }));
        const reading = { kind, style: { decimal, days: 'dmy' }, columns, fixed: {} } as const;
        const by = {
          reading,
          answers: KEEP_ALL,
          house: USUAL_HOUSE_RULES,
          rulebook: 0,
          now: NOW,
          source: 'x.csv',
          idOf,
        };
        const known = { vehicle, visits: [], entries: [] };
        const told =
          kind === 'readings'
            ? takeReadings(rows, known, by)
            : kind === 'vehicles'
              ? takeVehicles(rows, [vehicle], by)
              : takeEntries(rows, known, by);
        expect(told.fates.map((one) => one.row)).toEqual(rows.map((one) => one.row));
        for (const one of 'visits' in told ? told.visits : []) {
          inspectionSchema.parse(one.inspection);
          for (const finding of one.findings) findingSchema.parse(finding);
          made += 1;
        }
        for (const one of 'entries' in told ? told.entries : []) {
          lifeEntrySchema.parse(one.entry);
          made += 1;
        }
        for (const one of 'vehicles' in told ? told.vehicles : []) {
          vehicleSchema.parse(one);
          made += 1;
        }
      },
    ),
    { numRuns: 400 },
  );
  // It must not hold only because nothing came through.
  expect(made).toBeGreaterThan(40);
});
