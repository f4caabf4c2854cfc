import type { Fit } from '../../vehicle/fits';
import { extra, onBonnet, onUnder, onWheels, stationPoints } from './point';

const point = stationPoints('plant');
const fits: readonly Fit[] = ['plant'];

const grease = <const Code extends string>(code: Code, x: number, y: number) =>
  point(code, 'equipment', { counted: 'all', measures: extra('hours'), fits, ...onUnder(x, y) });

/** Machines that count hours. */
export const PLANT_POINTS = [
  point('plant.oil', 'engine', { measures: ['level'], vessel: 'stick', howRead: true, fits, ...onBonnet(0.3, 0.3) }),
  point('plant.coolant', 'cooling', {
    measures: ['level'],
    howRead: true,
    fits,
    cautions: ['hot-cooling'],
    ...onBonnet(0.15, 0.7),
  }),
  point('plant.hydraulic', 'equipment', {
    measures: ['level'],
    vessel: 'stick',
    howRead: true,
    fits,
    ...onUnder(0.6, 0.5),
  }),
  point('plant.finaldrive', 'transmission', {
    measures: ['level'],
    vessel: 'stick',
    fits: ['plant', 'driven'],
    repeats: 'hub',
    ...onWheels(),
  }),
  point('plant.brake.reservoir', 'brakes', { measures: ['level'], howRead: true, fits, ...onBonnet(0.5, 0.85) }),
  point('plant.fan.belt', 'engine', { vocabulary: 'belt', fits, cautions: ['key-out'], ...onBonnet(0.1, 0.5) }),
  point('plant.aircleaner', 'engine', {
    vocabulary: 'air-filter',
    measures: extra('hours'),
    fits,
    ...onBonnet(0.4, 0.15),
  }),
  point('plant.cabfilter', 'equipment', { measures: ['hours'], vocabulary: 'air-filter', fits }),
  grease('plant.grease.front', 0.1, 0.5),
  grease('plant.grease.rear', 0.85, 0.5),
  grease('plant.grease.linkage', 0.94, 0.3),
  grease('plant.grease.driveshaft', 0.7, 0.6),
  point('plant.grease.own', 'equipment', { counted: 'all', measures: extra('hours'), fits, ...onUnder(0.5, 0.7) }),
  point('plant.leak.hydraulic', 'equipment', {
    leakPlaces: ['ram', 'hose-end', 'pump', 'pipe-run', 'tank', 'filter-head'],
    leakWanted: true,
    fits,
    cautions: ['moving-parts'],
    ...onUnder(0.62, 0.62),
  }),
  point('plant.linkage', 'equipment', {
    vocabulary: 'general',
    fits,
    cautions: ['moving-parts'],
    ...onUnder(0.95, 0.5),
  }),
  point('plant.guards', 'equipment', { vocabulary: 'general', fits, cautions: ['moving-parts'] }),
  point('plant.pto', 'transmission', {
    vocabulary: 'general',
    fits,
    cautions: ['moving-parts'],
    ...onUnder(0.92, 0.6),
  }),
  point('plant.filter.regen', 'exhaust', { vocabulary: 'regeneration', fits, cautions: ['hot-oil'] }),
];
