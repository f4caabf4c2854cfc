import type { Operation } from '@weskopos/contract';
import { lazy } from 'react';

/** What checks shapes (forms, lifting older changes) comes in one piece when it is asked for: the bay opens without it. */
const shapes = () => import('./shapes');

export const People = lazy(() => shapes().then((loaded) => ({ default: loaded.People })));
export const Setup = lazy(() => shapes().then((loaded) => ({ default: loaded.Setup })));
export const VehicleEditor = lazy(() => shapes().then((loaded) => ({ default: loaded.VehicleEditor })));

/** An operation an older app left on the device, in today's shape. */
export async function liftOnDevice(operation: Operation): Promise<Operation> {
  return (await shapes()).upgradeOperation(operation);
}
