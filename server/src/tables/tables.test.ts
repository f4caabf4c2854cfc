import { TABLES } from '@weskopos/contract';
import { BUILT_IN_RULEBOOK } from '@weskopos/core';
import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import Papa from 'papaparse';
import readXlsx from 'read-excel-file/node';
import { errorCode } from '../errorCode';
import { asFile } from '../tests/bundles';
import {
  inspectorIn,
  newFinding,
  newVehicle,
  newInspection,
  operationOf,
  startWorkshop,
  type TestWorkshop,
} from '../tests/workshop';
import { csvOf } from './csv';

describe('a row', () => {
  test.each([
    [['a', 1.5, null, true], 'a,1.5,,true\r\n'],
    [['say "no", twice', 'two\nlines'], '"say ""no"", twice","two\nlines"\r\n'],
    [['=1+1', '+cmd', '-1+1', '@sum', '\tx', '|calc'], `"'=1+1","'+cmd","'-1+1","'@sum","'\tx","'|calc"\r\n`],
    [[-0.3, '-0.3', '+4', 'a=b'], '-0.3,-0.3,+4,a=b\r\n'],
  ])('%j', (row, told) => {
    expect(csvOf([row])).toBe(told);
  });

  test('with decimal commas: a figure is one cell, and no formula', () => {
    const style = { separator: 'semicolon', decimal: 'comma', bom: 'no' } as const;
    expect(csvOf([[-0.3, 1.25, 'a;b', 'c,d']], style)).toBe('-0,3;1,25;"a;b";c,d\r\n');
    expect(csvOf([[-0.3, 'x']], { ...style, separator: 'comma' })).toBe('"-0,3",x\r\n');
    expect(csvOf([[2.5, 'x']], { ...style, separator: 'tab' })).toBe('2,5\tx\r\n');
  });
});

describe('the tables of a workshop', () => {
  let workshop: TestWorkshop;
  const vehicle = newVehicle({ fleetCode: 'FH 77', use: '=HYPERLINK("http://x")', plate: 'Ü 1' });
  const get = (url: string) => workshop.client.get(`/api/tables/${url}`);
  const rowsOf = async (url: string) =>
    Papa.parse<Record<string, string>>(String((await get(url)).body), { header: true, skipEmptyLines: true }).data;
  beforeAll(async () => {
    workshop = await startWorkshop();
    const { client, context } = workshop;
    await client.setUp(context.setupCode);
    const visit = newInspection(vehicle.id, { complaint: 'squeaks,\nthen "stops"' });
    const first = newFinding(visit.id);
    await client.operations(
      operationOf('vehicle.put', vehicle),
      operationOf('inspection.start', visit),
      operationOf('finding.put', first),
      operationOf(
        'finding.put',
        newFinding(visit.id, { parent: first.id, at: '2026-06-01T08:07:00.000Z', note: '@later' }),
      ),
      operationOf(
        'finding.put',
        newFinding(visit.id, {
          point: 'cold.oil',
          place: '',
          readings: [{ measure: 'level', spot: 'whole', phase: 'found', values: [-0.3], bound: 'exact', step: null }],
        }),
      ),
      operationOf('inspection.sign', { inspectionId: visit.id, signedAt: '2026-06-01T09:00:00.000Z' }),
      operationOf('entry.put', {
        id: randomUUID(),
        vehicleId: vehicle.id,
        at: '2026-06-02T08:00:00.000Z',
        meter: 50_100,
        kind: 'fuel',
        litres: 41.5,
        full: true,
        price: null,
      }),
      operationOf('entry.put', {
        id: randomUUID(),
        vehicleId: vehicle.id,
        at: '2026-06-03T08:00:00.000Z',
        meter: 50_200,
        kind: 'job',
        job: { code: 'engine-oil', name: '' },
        place: '',
        litres: 5,
        numbers: '',
        paper: '',
      }),
    );
  });
  afterAll(() => workshop.stop());

  test.each(TABLES)('%s has a name for each of its columns, and a row of this workshop', async (table) => {
    const answer = await get(table);
    expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'text/csv; charset=utf-8']);
    expect(answer.headers.get('content-disposition')).toMatch(new RegExp(`weskopos-${table}-.*\\.csv`));
    const [head, ...rows] = Papa.parse<string[]>(String(answer.body), { skipEmptyLines: true }).data;
    expect(new Set(head).size).toBe(head?.length);
    // A visit of two figures and no history forecasts nothing.
    if (table !== 'forecasts') expect(rows.length).toBeGreaterThan(0);
    for (const row of rows) expect(row).toHaveLength(head?.length ?? 0);
  });

  test('tell what stands, with its unit and its verdict', async () => {
    expect(await rowsOf('readings')).toMatchObject([
      { fleetCode: 'FH 77', point: 'cold.oil', value: '-0.3', unit: 'level' },
      { fleetCode: 'FH 77', point: 'pad.inner', place: '1L', value: '6', unit: 'mm', readBy: 'Maren' },
    ]);
    expect(await rowsOf('findings')).toMatchObject([
      { point: 'cold.oil' },
      { point: 'pad.inner', grade: 'pass', note: `'@later` },
    ]);
    expect(await rowsOf('readings-wide')).toMatchObject([{ 'cold.oil:level': '-0.3' }]);
    expect(await rowsOf('visits')).toMatchObject([
      { complaint: 'squeaks,\nthen "stops"', signedBy: 'Maren', pass: expect.stringMatching(/\d/) },
    ]);
    expect(await rowsOf('vehicles')).toMatchObject([{ use: `'=HYPERLINK("http://x")`, plate: 'Ü 1' }]);
    expect(await rowsOf('jobs')).toMatchObject([{ job: 'engine-oil', litres: '5', toldBy: 'entry' }]);
    expect(await rowsOf('log')).toMatchObject([
      { kind: 'fuel', litres: '41.5', full: 'true' },
      { kind: 'job', what: 'engine-oil' },
    ]);
  });

  test('are read by another reader, as a spreadsheet of another country would have them', async () => {
    const text = String((await get('readings?separator=semicolon&decimal=comma&bom=yes')).body);
    const script = `
import csv, json, sys
with open(sys.argv[1], encoding='utf-8-sig', newline='') as file:
    print(json.dumps([[row['point'], row['value'], row['fleetCode']] for row in csv.DictReader(file, delimiter=';')]))`;
    const python = spawnSync(
      'python3',
      ['-c', script, await asFile('readings.csv', Buffer.from(`\uFEFF${text.replace(/^\uFEFF/, '')}`))],
      { encoding: 'utf8' },
    );
    // A machine without Python has no other reader; ours has read the same above.
    if (errorCode(python.error) === 'ENOENT') return;
    expect(JSON.parse(python.stdout)).toEqual([
      ['cold.oil', '-0,3', 'FH 77'],
      ['pad.inner', '6', 'FH 77'],
    ]);
  });

  test('are for leads, and none but these', async () => {
    const isla = await inspectorIn(workshop);
    expect((await isla.get('/api/tables/readings')).status).toBe(403);
    expect((await get('people')).status).toBe(404);
    expect(await get('readings?separator=pipe')).toMatchObject({
      status: 400,
      body: { errors: [{ field: 'separator' }] },
    });
  });
});

describe('a spreadsheet', () => {
  test('says what the CSV says, to a reader of others; text that looks like a formula is text', async () => {
    const workshop = await startWorkshop();
    const { client } = workshop;
    await client.setUp(workshop.context.setupCode);
    const vehicle = newVehicle({ fleetCode: 'FH 78', use: '=1+1', plate: 'Ü 2' });
    const visit = newInspection(vehicle.id);
    await client.operations(
      operationOf('rulebook.put', {
        ...BUILT_IN_RULEBOOK,
        version: 1,
        house: {
          ...BUILT_IN_RULEBOOK.house,
          units: { ...BUILT_IN_RULEBOOK.house.units, distance: 'mi', pressure: 'psi' },
        },
      }),
      operationOf('vehicle.put', vehicle),
      operationOf('inspection.start', visit),
      operationOf(
        'finding.put',
        newFinding(visit.id, {
          point: 'tyre.pressure',
          readings: [{ measure: 'pressure', spot: 'whole', phase: 'found', values: [220], bound: 'exact', step: 5 }],
        }),
      ),
    );
    const sheetOf = async (url: string) => {
      const { base, cookie } = client;
      const answer = await fetch(`${base}/api/tables/${url}`, { headers: { cookie } });
      if (!answer.ok) throw new Error(await answer.text());
      expect(answer.headers.get('content-type')).toBe(
        'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
      );
      const [sheet] = await readXlsx(Buffer.from(await answer.arrayBuffer()));
      const [head = [], ...rows] = sheet?.data ?? [];
      return rows.map((row) => Object.fromEntries(head.map((name, at) => [String(name), row[at]])));
    };
    expect(await sheetOf('vehicles?format=xlsx')).toMatchObject([
      { fleetCode: 'FH 78', use: '=1+1', plate: 'Ü 2', year: 2020 },
    ]);
    expect(await sheetOf('readings?format=xlsx')).toMatchObject([
      { point: 'tyre.pressure', value: 220, unit: 'kPa', gaugeStep: 5, meter: 50_000, meterUnit: 'km' },
    ]);
    const [inHouse] = await sheetOf('readings?format=xlsx&units=house');
    expect(inHouse).toMatchObject({ unit: 'psi', meterUnit: 'mi' });
    expect([inHouse?.value, inHouse?.gaugeStep, inHouse?.meter].map((one) => Number(one).toFixed(2))).toEqual([
      '31.91',
      '0.73',
      '31068.56',
    ]);
    await workshop.stop();
  });
});
