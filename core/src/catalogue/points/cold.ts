import { onBonnet, onUnder, stationPoints, type Need } from './point';

const point = stationPoints('cold');
const needs: readonly Need[] = ['never-started-today', 'off-cold'];

/** The gate: under a minute, before anyone turns the key. */
export const COLD_POINTS = [
  point('cold.oil', 'engine', {
    measures: ['level'],
    vessel: 'stick',
    howRead: true,
    fits: ['engine'],
    needs,
    ...onBonnet(0.3, 0.36),
  }),
  point('cold.coolant', 'cooling', {
    measures: ['level'],
    howRead: true,
    needs,
    cautions: ['hot-cooling'],
    ...onBonnet(0.17, 0.8),
  }),
  point('cold.belts', 'engine', {
    vocabulary: 'belt',
    fits: ['engine'],
    needs,
    cautions: ['key-out'],
    ...onBonnet(0.1, 0.38),
  }),
  point('cold.pool', 'engine', {
    leakPlaces: ['under-engine', 'under-gearbox', 'under-radiator', 'at-wheel', 'under-tank'],
    leakWanted: true,
    needs,
    ...onUnder(0.06, 0.78),
  }),
  point('cold.brakefluid', 'brakes', {
    measures: ['level'],
    howRead: true,
    fits: ['hydraulic-brakes'],
    needs,
    ...onBonnet(0.52, 0.9),
  }),
];
