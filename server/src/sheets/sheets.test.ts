import type { SheetLook, SheetPlan, SheetTaking } from '@weskopos/contract';
import ExcelJS from 'exceljs';
import fs from 'node:fs/promises';
import path from 'node:path';
import Papa from 'papaparse';
import { unzipped, zipped } from '../tests/bundles';
import {
  inspectorIn,
  newFinding,
  newInspection,
  newVehicle,
  operationOf,
  startWorkshop,
  type Client,
  type TestWorkshop,
} from '../tests/workshop';

let workshop: TestWorkshop;
let client: Client;
const vehicle = newVehicle({ fleetCode: 'FH 21', plate: 'QX 21' });
beforeAll(async () => {
  workshop = await startWorkshop();
  ({ client } = workshop);
  await client.setUp(workshop.context.setupCode);
  await client.operations(operationOf('vehicle.put', vehicle));
});
afterAll(() => workshop.stop());

async function send(content: Buffer | string, name = 'old.csv'): Promise<SheetLook> {
  const answer = await client.send('POST', `/api/sheets?name=${encodeURIComponent(name)}`, Buffer.from(content), {
    'content-type': 'application/octet-stream',
  });
  if (answer.status !== 200) throw new Error(JSON.stringify(answer.body));
  return answer.body as SheetLook;
}
const refusal = async (content: Buffer | string) =>
  client.send('POST', '/api/sheets?name=x', Buffer.from(content), { 'content-type': 'application/octet-stream' });
async function plan(look: SheetLook, change: Partial<SheetTaking> = {}): Promise<SheetPlan> {
  const answer = await client.send('POST', `/api/sheets/${look.id}/plan`, { ...look.guess, ...change });
  if (answer.status !== 200) throw new Error(JSON.stringify(answer.body));
  return answer.body as SheetPlan;
}
const take = (look: SheetLook, change: Partial<SheetTaking> = {}, leaveRefused = false) =>
  client.send('POST', `/api/sheets/${look.id}`, { reading: { ...look.guess, ...change }, leaveRefused });
const lifeOf = async (id = vehicle.id) =>
  (await client.get(`/api/vehicles/${id}/life`)).body as {
    visits: {
      inspection: Record<string, unknown>;
      inspector: string;
      signedBy: string;
      findings: unknown[];
      seal: unknown;
    }[];
    entries: Record<string, unknown>[];
  };

const HEAD = 'Reg;Date;Odo;Item;Position;Spot;Reading;Technician';
const ROWS = [
  'QX 21;14.03.2024;12.400;tread;FL;outer;7,2;Kasimir',
  'QX 21;14.03.2024;12.400;tread;FL;inner;7,0;Kasimir',
  'QX 21;20.09.2024;22.900;tread;FL;outer;6,1;Kasimir',
  'QX 21;02.04.2025;34.100;tread;FL;outer;4,9;Kasimir',
];
const CSV = [HEAD, ...ROWS].join('\r\n');

test('readings of another program: looked at, planned, taken; told by whom and from where; the same again is the same', async () => {
  const look = await send(CSV, 'old book.csv');
  expect(look).toMatchObject({
    name: 'old book.csv',
    format: 'csv',
    guess: {
      kind: 'readings',
      file: { encoding: 'utf-8', separator: 'semicolon', headingRow: 1 },
      style: { decimal: 'comma', days: 'dmy' },
    },
    daysUnsure: false,
  });
  expect(look.guess.columns.map(({ field }) => field)).toEqual([
    'vehicle',
    'at',
    'meter',
    'point',
    'place',
    'spot',
    'value',
    'by',
  ]);
  expect(await plan(look)).toMatchObject({
    rows: { fresh: 4, same: 0, doubtful: 0, refused: 0 },
    makes: { visits: 3, entries: 0, vehicles: 0 },
    vehicles: [{ fleetCode: 'FH 21' }],
    strangers: ['Kasimir'],
  });
  expect((await lifeOf()).visits).toEqual([]);
  expect((await take(look)).status).toBe(200);
  const { visits } = await lifeOf();
  expect(
    visits.map(({ inspection, inspector, signedBy }) => [
      inspection.startedAt,
      inspection.meter,
      inspection.broughtFrom,
      inspector,
      signedBy,
    ]),
  ).toEqual([
    ['2024-03-14T12:00:00.000Z', 12400, 'old book.csv', 'Kasimir', 'Maren'],
    ['2024-09-20T12:00:00.000Z', 22900, 'old book.csv', 'Kasimir', 'Maren'],
    ['2025-04-02T12:00:00.000Z', 34100, 'old book.csv', 'Kasimir', 'Maren'],
  ]);
  // Signed like every visit, and part of the vehicle's chain.
  expect((await client.send('POST', '/api/verify', {})).body).toMatchObject({ signatures: 3, unsealed: 0, breaks: [] });
  // A trend is told from what was brought in.
  const trends = (await client.get(`/api/vehicles/${vehicle.id}/trends`)).body as { series: { readings: unknown[] } }[];
  expect(Math.max(...trends.map(({ series }) => series.readings.length))).toBe(3);
  expect(await plan(await send(CSV, 'again.csv'))).toMatchObject({ rows: { fresh: 0, same: 4 }, makes: { visits: 0 } });
});

test('a spreadsheet says the same as the text it was made from', async () => {
  const book = new ExcelJS.Workbook();
  book.addWorksheet('Notes').addRow(['nothing here']);
  const sheet = book.addWorksheet('Fuel');
  sheet.addRow(['From the yard office']);
  sheet.addRow([]);
  sheet.addRow(['vehicle', 'date', 'odo', 'litres', 'full']);
  sheet.addRow(['FH 21', new Date('2025-05-01T00:00:00Z'), 35_000, { formula: '40+1.5', result: 41.5 }, true]);
  sheet.addRow(['FH 21', '2025-05-09', '35,600', { richText: [{ text: '39' }, { text: '.25' }] }, 'yes']);
  const look = await send(Buffer.from(await book.xlsx.writeBuffer()), 'fuel.xlsx');
  expect(look).toMatchObject({
    format: 'xlsx',
    tabs: ['Notes', 'Fuel'],
    guess: { kind: 'log', file: { tab: 'Fuel', headingRow: 3 } },
  });
  expect(look.sample).toHaveLength(2);
  expect((await plan(look)).rows).toEqual({ fresh: 2, same: 0, doubtful: 0, refused: 0 });
  expect((await take(look)).status).toBe(200);
  const entries = (await lifeOf()).entries.sort((a, b) => String(a.at).localeCompare(String(b.at)));
  expect(entries).toMatchObject([
    { kind: 'fuel', at: '2025-05-01T12:00:00.000Z', meter: 35000, litres: 41.5, full: true },
    { kind: 'fuel', litres: 39.25, meter: 35600 },
  ]);
  const text = 'vehicle,date,odo,litres,full\nFH 21,2025-05-01,35000,41.5,yes\nFH 21,2025-05-09,35600,39.25,yes\n';
  expect((await plan(await send(text))).rows).toMatchObject({ same: 2 });
  const other = (
    await client.send('POST', `/api/sheets/${look.id}/look`, {
      file: { ...look.guess.file, tab: 'Notes', headingRow: 1 },
    })
  ).body as SheetLook;
  expect(other.headings).toEqual(['nothing here']);
});

test('a spreadsheet whose parts lie in any order is read the same', async () => {
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet('Jobs');
  sheet.addRow(['vehicle', 'date', 'work']);
  sheet.addRow(['FH 21', new Date('2025-06-01T00:00:00Z'), 'Coolant']);
  // Folders are no parts.
  const parts = [...(await unzipped(Buffer.from(await book.xlsx.writeBuffer())))].filter(
    ([name]) => !name.endsWith('/'),
  );
  for (const order of [parts, [...parts].reverse(), [...parts].sort(([a], [b]) => (a < b ? 1 : -1))]) {
    const look = await send(await zipped(order), 'jobs.xlsx');
    expect(look).toMatchObject({ tabs: ['Jobs'], guess: { kind: 'jobs' } });
    expect(look.sample).toEqual([['FH 21', '2025-06-01T00:00:00.000Z', 'Coolant']]);
  }
  const bomb = await zipped([...parts, ['xl/worksheets/sheet2.xml', Buffer.alloc(30_000_000)]]);
  expect(await refusal(bomb)).toMatchObject({
    status: 400,
    body: { code: 'sheet-unreadable', detail: 'bundle-too-large' },
  });
});

const UMLAUT = 'Fahrzeug;Datum;Arbeit;Teile\nFH 21;1.2.2025;Öl und Prüfung;Größe 5\n';
test.each([
  ['utf-8 with its mark', Buffer.from(`\uFEFF${UMLAUT}`), 'utf-8'],
  ['utf-16 with its mark', Buffer.from(`\uFEFF${UMLAUT}`, 'utf16le'), 'utf-16le'],
  ['utf-16 without', Buffer.from(UMLAUT, 'utf16le'), 'utf-16le'],
  ['utf-16, the big end first', Buffer.from(`\uFEFF${UMLAUT}`, 'utf16le').swap16(), 'utf-16be'],
  ['one byte a letter', Buffer.from(UMLAUT, 'latin1'), 'windows-1252'],
])('%s is read by its letters', async (_, bytes, encoding) => {
  const look = await send(bytes);
  expect(look.guess.file.encoding).toBe(encoding);
  expect(look.headings).toEqual(['Fahrzeug', 'Datum', 'Arbeit', 'Teile']);
  expect(look.sample[0]).toEqual(['FH 21', '1.2.2025', 'Öl und Prüfung', 'Größe 5']);
  expect((await plan(look)).rows).toMatchObject({ fresh: 1 });
});

test('refused rows are named, and leave nothing behind unless they are left out', async () => {
  const text = `${HEAD}\n${ROWS[0]?.replace('7,2', '72')}\nXX 9;14.03.2024;1;tread;FL;outer;7,2;\n\nQX 21;14.03.2023;9.000;tread;FL;outer;7,9;\n`;
  const look = await send(text);
  const told = await plan(look);
  expect(told.rows).toEqual({ fresh: 1, same: 0, doubtful: 0, refused: 2 });
  expect(told.told).toMatchObject([
    {
      row: 2,
      fate: 'refused',
      faults: [{ field: 'value', code: 'out-of-range', written: '72', allowed: '0 to 25 mm' }],
    },
    { row: 3, fate: 'refused', faults: [{ field: 'vehicle', code: 'unknown-vehicle', written: 'XX 9' }] },
  ]);
  const report = Papa.parse<string[]>(String((await client.get(`/api/sheets/${look.id}/report`)).body), {
    skipEmptyLines: true,
  }).data;
  // A row that is empty is counted, so that numbers are those of the file.
  expect(report.map(([row, fate]) => [row, fate])).toEqual([
    ['row', 'fate'],
    ['2', 'refused'],
    ['3', 'refused'],
    ['5', 'fresh'],
  ]);
  expect(report[1]?.slice(2, 4)).toEqual(['value out-of-range: 72 (0 to 25 mm)', 'QX 21']);
  const before = (await lifeOf()).visits.length;
  expect(await take(look)).toMatchObject({ status: 409, body: { code: 'sheet-rows-refused', detail: '2' } });
  expect((await lifeOf()).visits).toHaveLength(before);
  expect((await take(look, {}, true)).status).toBe(200);
  expect((await lifeOf()).visits).toHaveLength(before + 1);
});

test('doubts are asked with how many rows they are about, and answered for all of them', async () => {
  const look = await send(
    `${HEAD}\nQX 21;01.05.2025;20.000;tread;FL;outer;4,7;\nQX 21;14.03.2024;12.400;tread;FL;outer;6,0;\n`,
  );
  expect(await plan(look)).toMatchObject({
    rows: { fresh: 0, doubtful: 2 },
    doubts: [
      { code: 'behind', rows: 1 },
      { code: 'here-otherwise', rows: 1 },
    ],
    makes: { visits: 0 },
  });
  const answers = { behind: 'last-misread', 'here-otherwise': 'leave' } as const;
  expect(await plan(look, { answers })).toMatchObject({ rows: { fresh: 1, doubtful: 1 }, makes: { visits: 1 } });
});

test('vehicles come in and change, with what every row says', async () => {
  const look = await send(
    'fleet no,reg,make,model,built\nFH 90,NN 90,Osprell,Heron,2021\nFH 21,QX 21,Osprell,Wren,2020\n',
  );
  expect(look.guess.kind).toBe('vehicles');
  expect((await plan(look)).rows.refused).toBe(1);
  const answered = { fixed: { class: 'car' }, answers: { 'here-otherwise': 'keep' } } as const;
  expect(await plan(look, answered)).toMatchObject({ rows: { fresh: 2 }, makes: { vehicles: 1, changed: 1 } });
  expect((await take(look, answered)).status).toBe(200);
  const yard = (await client.get('/api/yard')).body as {
    vehicle: { fleetCode: string; model: string; class: string };
  }[];
  expect(yard.map(({ vehicle: { fleetCode, model, class: kind } }) => [fleetCode, model, kind])).toEqual([
    ['FH 21', 'Wren', 'car'],
    ['FH 90', 'Heron', 'car'],
  ]);
});

test.each([
  ['nothing', '', 400, 'sheet-empty'],
  ['too many columns', `${'a,'.repeat(300)}\n`, 400, 'sheet-too-wide'],
  ['a quotation mark that is never closed', `a,b\n"${'x'.repeat(30_000)}`, 400, 'sheet-unreadable'],
  ['an archive that is no spreadsheet', Buffer.from('PK\u0003\u0004 and so on'), 400, 'sheet-unreadable'],
])('refused as a file: %s', async (_, content, status, code) => {
  expect(await refusal(content)).toMatchObject({ status, body: { code } });
});

test('a look is for leads; what nobody sent is not there; what is dropped is gone', async () => {
  const isla = await inspectorIn(workshop);
  expect((await isla.send('POST', '/api/sheets', Buffer.from(CSV), { 'content-type': 'text/csv' })).status).toBe(403);
  const look = await send(CSV);
  expect((await client.get(`/api/sheets/${look.id}`)).body).toEqual({ done: 0, rows: 0 });
  expect((await client.send('DELETE', `/api/sheets/${look.id}`)).status).toBe(200);
  expect((await client.send('POST', `/api/sheets/${look.id}/plan`, look.guess)).status).toBe(404);
  expect((await client.get(`/api/sheets/${look.id}/report`)).status).toBe(404);
  const left = await fs.readdir(path.join(workshop.folder, 'imports'));
  expect(left.filter((name) => name.startsWith(look.id))).toEqual([]);
});

test('columns that say nothing, and a reading without its place, are refused by shape', async () => {
  const look = await send(CSV);
  const none = look.guess.columns.map(() => ({ field: null, unit: null, at: null }));
  const planned = (columns: unknown) => client.send('POST', `/api/sheets/${look.id}/plan`, { ...look.guess, columns });
  expect(await planned(none)).toMatchObject({ status: 400, body: { code: 'sheet-no-columns' } });
  expect(await planned([{ field: 'reading', unit: null, at: null }])).toMatchObject({
    status: 400,
    body: { errors: [{ field: 'columns.0.at' }] },
  });
});

test('what a workshop takes out as a table comes in to another, and out the same', async () => {
  const far = await startWorkshop();
  await far.client.setUp(far.context.setupCode);
  const here = newVehicle({ fleetCode: 'FH 50' });
  const visit = newInspection(here.id);
  await far.client.operations(
    operationOf('vehicle.put', here),
    operationOf('inspection.start', visit),
    operationOf('finding.put', newFinding(visit.id)),
    operationOf('inspection.sign', { inspectionId: visit.id, signedAt: '2026-06-01T09:00:00.000Z' }),
  );
  await client.operations(operationOf('vehicle.put', newVehicle({ fleetCode: 'FH 50' })));
  const out = async (from: Client) =>
    Papa.parse<Record<string, string>>(
      String((await from.get('/api/tables/readings?separator=semicolon&decimal=comma')).body),
      {
        header: true,
        delimiter: ';',
        skipEmptyLines: true,
      },
    )
      .data.filter(({ fleetCode }) => fleetCode === 'FH 50')
      .map(({ point, place, measure, spot, value, unit, meter, startedAt }) => [
        point,
        place,
        measure,
        spot,
        value,
        unit,
        meter,
        startedAt,
      ]);
  const text = String((await far.client.get('/api/tables/readings?separator=semicolon&decimal=comma&bom=yes')).body);
  const look = await send(text, 'readings.csv');
  // The vehicle's id is another one there: it is told by its fleet code.
  expect(look.headings[look.guess.columns.findIndex(({ field }) => field === 'vehicle')]).toBe('fleetCode');
  expect((await take(look)).status).toBe(200);
  expect(await out(client)).toEqual(await out(far.client));
  await far.stop();
});
