/** Made-up truths and what gauges show of them: for the demo, tests and benches, never for the app. */
export { normalDraw, randomUuid, seededRandom } from './simulator/random';
export { gaugeReads, type GaugeTruth } from './simulator/gauge';
export { wornTo, type WearTruth } from './simulator/wear';
export { drawBattery, drawFluid, healthAt, waterAt, type BatteryTruth, type FluidTruth } from './simulator/ageing';
export { FAULTS, faultSigns, type FaultSigns, type FaultTruth } from './simulator/faults';
export { keptLevels, type KeptLevel, type LevelTruth } from './simulator/levels';
