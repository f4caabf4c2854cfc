import { GAUGE_STEPS, type MeasureCode } from '@weskopos/core';
import { create } from 'zustand';
import { readTab, writeTab } from '../sync/tabStorage';

type Chosen = Readonly<Partial<Record<MeasureCode, number>>>;
interface Gauges {
  /** Of which visit these are: another one begins with the usual gauges. */
  readonly visitId: string;
  readonly chosen: Chosen;
}

const NAME = 'gauges';
const useGauges = create<Gauges>(() => readTab<Gauges>(NAME) ?? { visitId: '', chosen: {} });

/** Which gauge is in hand in this visit, by its step in the stored unit; null for the usual one. */
export function gaugeStep(measure: MeasureCode): number | null {
  return useGauges.getState().chosen[measure] ?? null;
}

/** As {@link gaugeStep}, followed by what shows it. */
export function useGaugeStep(measure: MeasureCode): number | null {
  return useGauges(({ chosen }) => chosen[measure] ?? null);
}

/** The gauges of a visit are in hand; those of another are laid aside. */
export function takeGaugesOf(visitId: string): void {
  if (useGauges.getState().visitId !== visitId) keep({ visitId, chosen: {} });
}

/** Takes another gauge for the rest of the visit. */
export function chooseGauge(measure: MeasureCode, step: number): void {
  const { visitId, chosen } = useGauges.getState();
  const { [measure]: _before, ...others } = chosen;
  const isUsual = GAUGE_STEPS[measure]?.[0] === step;
  keep({ visitId, chosen: isUsual ? others : { ...others, [measure]: step } });
}

function keep(gauges: Gauges): void {
  useGauges.setState(gauges);
  writeTab(NAME, gauges);
}
