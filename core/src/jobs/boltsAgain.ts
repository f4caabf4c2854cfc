import { looseEnds } from '../acts/looseEnds';
import { standingOf } from '../inspection/currentFindings';
import type { Finding } from '../inspection/finding';
import type { Vehicle } from '../vehicle/vehicle';
import type { JobDone, WorkedVisit } from './jobsOf';

/** Wheel bolts that are to be torqued once more: they settle on the first kilometres. */
export interface BoltsAgain {
  /** Between these two readings of the odometer, km. */
  readonly fromKm: number;
  readonly toKm: number;
  /** When a wheel was last off, ISO 8601. */
  readonly since: string;
}

/** How far a wheel runs before its bolts are torqued again, km. */
const BOLTS_AGAIN_KM = { from: 50, to: 100 } as const;

/** A visit as far as its wheels are concerned. */
export type WheeledVisit = WorkedVisit & { readonly findings: readonly Finding[] };

const boltsRead = ({ findings }: WheeledVisit) =>
  [...standingOf(findings).values()].some(
    ({ point, readings, carried }) => point === 'close.bolts' && carried === null && readings.length > 0,
  );

/**
 * Whether wheel bolts still want their second torque. It ends by a torque read at a later visit, or by a job that was
 * written down, and by nothing else: a visit that saw no bolts changes nothing.
 *
 * @param visits oldest first
 * @returns null where no wheel was off since, and for a machine that counts hours
 */
export function boltsAgainOf(
  { meterUnit }: Pick<Vehicle, 'meterUnit'>,
  visits: readonly WheeledVisit[],
  jobs: readonly JobDone[],
): BoltsAgain | null {
  if (meterUnit !== 'km') return null;
  const at = visits.findLastIndex(({ acts }) => looseEnds(acts).some(({ opened }) => opened.end === 'wheel'));
  const visit = visits[at];
  const off = visit && looseEnds(visit.acts).findLast(({ opened }) => opened.end === 'wheel');
  if (!off || visits.slice(at + 1).some(boltsRead)) return null;
  const since = off.closed?.at ?? off.opened.at;
  const done = jobs.some((one) => one.job.code === 'wheel-bolts' && Date.parse(one.at) > Date.parse(since));
  if (done) return null;
  const { meter } = visit.inspection;
  return { fromKm: meter + BOLTS_AGAIN_KM.from, toKm: meter + BOLTS_AGAIN_KM.to, since };
}
