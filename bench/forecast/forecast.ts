import { benchAgeing } from './ageing';
import { studyChanges, type CurvePoint } from './changes';
import { TOLD_FROM } from '@weskopos/core/wear/rateChange';

/** Seeds that were not looked at while the forecaster was built. */
const UNSEEN = [70_101, 70_202, 70_303, 70_404, 70_505];

const percent = (share: number) => `${(share * 100).toFixed(1)} %`;

/** What ages by standing, on the same unseen seeds. */
export const benchAges = (seeds: readonly number[] = UNSEEN): void => benchAgeing(seeds);

/** How much of what changed is found within two visits, against what is raised for nothing. */
export function benchChanges(seeds: readonly number[] = UNSEEN): void {
  const study = studyChanges(seeds);
  console.log(
    `changes: ${study.events} of 1.5 times and more in ${study.vehicleYears} vehicle-years, found within two visits`,
  );
  const line = (name: string, { threshold, found, falsePerYear }: CurvePoint) =>
    console.log(
      `  ${name} ${threshold}: ${percent(found)} found, ${falsePerYear.toFixed(3)} false a vehicle-year${name === 'odds' && threshold === TOLD_FROM ? ' (working point)' : ''}`,
    );
  for (const point of study.ours) line('odds', point);
  for (const point of study.naive) line('last stretch over the one before', point);
}
