import type { Operation } from '@weskopos/contract';
import { lazy } from 'react';

/** What checks shapes (forms, lifting older changes) comes in one piece when it is asked for: the bay opens without it. */
const shapes = () => import('./shapes');

const LazyArrival = lazy(() => shapes().then(({ Arrival }) => ({ default: Arrival })));
const LazyCorrectArrival = lazy(() => shapes().then(({ CorrectArrival: page }) => ({ default: page })));
const LazyHistory = lazy(() => shapes().then(({ HistoryPage }) => ({ default: HistoryPage })));
const LazyPeople = lazy(() => shapes().then(({ People }) => ({ default: People })));
const LazySetup = lazy(() => shapes().then(({ Setup }) => ({ default: Setup })));
const LazyVehicleEditor = lazy(() => shapes().then(({ VehicleEditor }) => ({ default: VehicleEditor })));

// The router makes each route lazy itself, and takes a component for it, not something lazy.
export const Arrival = () => <LazyArrival />;
export const CorrectArrival = () => <LazyCorrectArrival />;
export const History = () => <LazyHistory />;
export const People = () => <LazyPeople />;
export const Setup = () => <LazySetup />;
export const VehicleEditor = () => <LazyVehicleEditor />;

/** Waited for by whoever shows it. */
export const EntryForm = lazy(() => shapes().then(({ EntryForm: form }) => ({ default: form })));

/** An operation an older app left on the device, in today's shape. */
export async function liftOnDevice(operation: Operation): Promise<Operation> {
  return (await shapes()).upgradeOperation(operation);
}
