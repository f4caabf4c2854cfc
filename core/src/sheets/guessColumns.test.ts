import { guessStyle } from './guessStyle';
import { guessColumns, guessKind } from './guessColumns';
import { placeSaid } from './placeWords';
import { SHEET_FIELDS, SHEET_KINDS, fieldsOf } from './sheetKinds';
import { PLAIN_AXLE } from '../vehicle/vehicle';

const TWO = { traffic: 'left', driverSide: null, axles: [PLAIN_AXLE, PLAIN_AXLE] } as const;
const MINIBUS = { ...TWO, axles: [PLAIN_AXLE, { ...PLAIN_AXLE, dual: true }] };
const THREE = { ...TWO, traffic: 'right', axles: [PLAIN_AXLE, PLAIN_AXLE, PLAIN_AXLE] } as const;
const POINT = { decimal: 'point', days: 'dmy' } as const;

describe('where something is, in words of every school', () => {
  test.each([
    ['1L', TWO, '1L'],
    ['FL', TWO, '1L'],
    ['lf', TWO, '1L'],
    ['RR', TWO, '2R'],
    ['FR', TWO, '1R'],
    ['Front left', TWO, '1L'],
    ['left, rear', TWO, '2L'],
    ['N/S front', TWO, null],
    ['nsf', TWO, '1L'],
    ['OSR', TWO, '2R'],
    ['nearside rear', THREE, '3R'],
    ['driver front', TWO, '1R'],
    ['passenger rear', TWO, '2L'],
    ['driver front', { ...TWO, driverSide: 'L' as const }, '1L'],
    ['axle 2 right', THREE, '2R'],
    ['rear left', THREE, '3L'],
    ['rear left inner', MINIBUS, '2Li'],
    ['LRO', MINIBUS, '2Lo'],
    ['2Lo', MINIBUS, '2Lo'],
    // A pair wants to be told which of it; a single tyre has none; there is no axle 3.
    ['rear left', MINIBUS, null],
    ['front left inner', TWO, null],
    ['3L', TWO, null],
    ['front', TWO, null],
    ['front rear left', TWO, null],
    ['left left', TWO, null],
    ['under the tray', TWO, null],
    ['', TWO, null],
  ])('%j', (text, given, place) => {
    expect(placeSaid(text, 'tyre', given)).toBe(place);
  });

  test('an axle where a point is one of an axle, nothing where there is one of it', () => {
    expect([
      placeSaid('rear axle', 'axle', TWO),
      placeSaid('1', 'axle', TWO),
      placeSaid('rear left', 'axle', TWO),
    ]).toEqual(['2', '1', null]);
    expect([placeSaid('', null, TWO), placeSaid('1L', null, TWO)]).toEqual(['', null]);
  });
});

const guessed = (headings: string[], ...rows: string[][]) => {
  const { kind, columns } = guessKind(headings, rows, guessStyle(rows, ','), TWO);
  return { kind, fields: columns.map(({ field }) => field), columns };
};

describe('what a table is of', () => {
  test.each([
    [
      'readings',
      ['Reg', 'Date', 'Odometer (mi)', 'Item', 'Position', 'Reading', 'Units', 'Technician'],
      ['vehicle', 'at', 'meter', 'point', 'place', 'value', 'unit', 'by'],
    ],
    [
      'log',
      ['Unit', 'Date', 'Odo', 'Litres', 'Cost', 'Full tank'],
      ['vehicle', 'at', 'meter', 'litres', 'price', 'full'],
    ],
    ['jobs', ['Fahrzeug', 'Datum', 'Kilometerstand', 'Arbeit', 'Rechnung'], ['vehicle', 'at', 'meter', 'job', 'paper']],
    [
      'parts',
      ['fleet_code', 'date', 'km', 'component', 'wheel', 'when new'],
      ['vehicle', 'at', 'meter', 'what', 'place', 'fresh'],
    ],
    [
      'vehicles',
      ['Fleet No', 'Registration', 'Manufacturer', 'Model', 'Built', 'Category', 'Tyres'],
      ['fleetCode', 'plate', 'make', 'model', 'year', 'class', 'tyreSize'],
    ],
    ['vehicles', ['code', 'Zulassung', 'year', 'class'], ['fleetCode', null, 'year', 'class']],
  ])('%s: %j', (kind, headings, fields) => {
    expect(guessed(headings)).toMatchObject({ kind, fields });
  });

  test('one row a visit, its figures under headings that name places', () => {
    const { kind, columns } = guessed(
      [
        'Plate',
        'Inspected',
        'Mileage',
        'FL tread (32nds)',
        'FR Tread outer [mm]',
        'nearside rear tyre pressure',
        'Pad inner front left',
        'Battery V',
        'tyre.tread@2R:inner',
        'cold.oil:level',
        'FL smell',
      ],
      ['A 1', '1/2/2026', '52000', '7', '5.5', '33', '8', '12.6', '5', '0.5', 'odd'],
      ['A 1', '1/8/2026', '58000', '6', '5', '36', '7', '12.5', '4.5', '0.4', 'none'],
    );
    expect(kind).toBe('readings');
    expect(
      columns.map(({ field, unit, at }) => [field, unit, at && `${at.point}@${at.place} ${at.measure} ${at.spot}`]),
    ).toEqual([
      ['vehicle', null, null],
      ['at', null, null],
      ['meter', 'mi', null],
      ['reading', '/32in', 'tyre.tread@1L tread centre'],
      ['reading', null, 'tyre.tread@1R tread outer'],
      ['reading', 'psi', 'tyre.pressure@2L pressure whole'],
      ['reading', null, 'pad.inner@1L lining whole'],
      ['reading', null, 'battery.rest@ rest-voltage whole'],
      ['reading', null, 'tyre.tread@2R tread inner'],
      ['reading', null, 'cold.oil@ level whole'],
      [null, null, null],
    ]);
  });

  test('the unit of a pressure without one is told by its figures', () => {
    const unit = (...figures: string[]) =>
      guessColumns(
        'readings',
        ['FL pressure'],
        figures.map((one) => [one]),
        POINT,
        TWO,
      )[0]?.unit;
    expect([unit('2.3', '2.5'), unit('33', '36'), unit('230', '250'), unit()]).toEqual(['bar', 'psi', null, null]);
  });

  test('no column is taken twice', () => {
    expect(guessed(['Date', 'Datum', 'plate', 'job', 'job']).fields).toEqual(['at', null, 'vehicle', 'job', null]);
  });

  test.each(SHEET_KINDS)('each field of %s is found by its own name', (kind) => {
    const fields = Object.keys(fieldsOf(kind));
    expect(fields).toEqual(Object.keys(SHEET_FIELDS[kind]));
    expect(guessColumns(kind, fields, [], POINT, TWO).map(({ field }) => field)).toEqual(fields);
  });
});
