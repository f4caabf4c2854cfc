import { randomUUID } from 'node:crypto';
import path from 'node:path';
import { applyChange } from '../operations/applyChange';
import type { Change, OwnOperation } from '../operations/change';
import { newFinding, newFolder, newInspection, newVehicle, operationOf } from '../tests/workshop';
import { readVisits } from '../inspections/readVisits';
import type { Engine } from './engine';
import { migrate, readMigrations } from './migrate';
import { openPglite } from './pgliteEngine';

const AT = '2026-06-01T08:00:00.000Z';
let engine: Engine;
beforeAll(async () => {
  engine = await openPglite(path.join(await newFolder(), 'database'));
});
afterAll(() => engine.close());

test('each migration runs on tables that are filled by the version before, and the data is read on', async () => {
  const migrations = await readMigrations();
  expect(migrations.map(({ name }) => name)).toEqual([...migrations.map(({ name }) => name)].sort());
  expect(migrations.length).toBeGreaterThan(1);
  await migrate(engine, migrations.slice(0, 1));

  const person = randomUUID();
  const change = (operation: Change['operation'], by: string | null = person): Change => ({
    operation,
    by,
    receivedAt: AT,
  });
  const addPerson: OwnOperation = {
    id: randomUUID(),
    at: AT,
    device: 'server',
    kind: 'person.add',
    body: { id: person, name: 'Isla', role: 'inspector', secretHash: 'x' },
  };
  const vehicle = newVehicle();
  const inspection = newInspection(vehicle.id);
  for (const one of [
    change(addPerson, null),
    change(operationOf('vehicle.put', vehicle)),
    change(operationOf('inspection.start', inspection)),
  ]) {
    expect(await applyChange(engine, one)).toMatchObject({ status: 'applied' });
  }
  const before = await readVisits(engine, 'i.vehicle_id = $1', vehicle.id);

  for (let count = 2; count <= migrations.length; count += 1) {
    await migrate(engine, migrations.slice(0, count));
    expect(await readVisits(engine, 'i.vehicle_id = $1', vehicle.id)).toEqual(before);
  }

  const finding = newFinding(inspection.id);
  expect(await applyChange(engine, change(operationOf('finding.put', finding)))).toMatchObject({ status: 'applied' });
  const [visit] = await readVisits(engine, 'i.id = $1', inspection.id);
  expect(visit?.findings).toEqual([{ ...finding, by: 'Isla' }]);
});
