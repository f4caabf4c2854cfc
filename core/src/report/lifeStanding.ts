import type { Act } from '../acts/act';
import { countedVisits, isSigned, type Inspection } from '../inspection/inspection';
import { boltsAgainOf, type BoltsAgain } from '../jobs/boltsAgain';
import { jobPasts } from '../jobs/jobHistory';
import { jobsOf } from '../jobs/jobsOf';
import type { LifeEntry } from '../parts/lifeEntry';
import type { Rules } from '../rules/rulebook';
import type { Job, JobCode } from '../vehicle/jobs';
import type { Vehicle } from '../vehicle/vehicle';
import { verdictOfVisit, type JudgedRecord } from './signedSheet';
import { vehicleStanding, type VehicleStanding } from './vehicleStanding';

/** A visit as far as a vehicle's standing is concerned. */
export type StandingVisit = JudgedRecord & { readonly acts: readonly Act[] };

/** A vehicle's life, as far as its standing is concerned. */
export interface StandingLife {
  readonly vehicle: Vehicle;
  /** Oldest first; those that are open or given up are left out here. */
  readonly visits: readonly StandingVisit[];
  readonly entries: readonly LifeEntry[];
}

/** How a vehicle stands, with what its wheels still want. */
export interface LifeStanding extends VehicleStanding {
  readonly boltsAgain: BoltsAgain | null;
  /** Jobs that ruin something when they are late and that nobody knows the last time of: each an advisory until one is done. */
  readonly unknownJobs: readonly Job[];
}

/** A timing belt of unknown age may part at any time, and the engine with it. */
const NOT_LEFT_UNKNOWN: readonly JobCode[] = ['timing-belt'];

/** A vehicle's standing in one line of the yard. */
export type StandingSummary = Omit<LifeStanding, 'points'>;

/**
 * How a vehicle stands by everything that is known of it. Signed visits are told from what they were signed with; `rulesFor`
 * grades one whose signature still waits for its answer.
 */
export function lifeStanding(
  { vehicle, visits, entries }: StandingLife,
  rulesFor: (inspection: Inspection) => Rules,
): LifeStanding {
  const counted = countedVisits(visits);
  const jobs = jobsOf(counted, entries);
  const judged = counted
    .filter(({ inspection }) => isSigned(inspection))
    .map((visit) => ({
      inspection: visit.inspection,
      verdict: verdictOfVisit(vehicle, visit, rulesFor(visit.inspection)),
    }));
  const unknownJobs = jobPasts(vehicle, jobs, entries)
    .filter(({ job, state }) => state === 'not-known' && NOT_LEFT_UNKNOWN.includes(job.code))
    .map(({ job }) => job);
  const standing = vehicleStanding(judged, jobs, entries);
  const { fail, advisory, pass } = standing.counts;
  return {
    ...standing,
    ...(unknownJobs.length > 0 && standing.grade !== 'fail' ? { grade: 'advisory' } : {}),
    counts: { fail, advisory: advisory + unknownJobs.length, pass },
    boltsAgain: boltsAgainOf(vehicle, counted, jobs),
    unknownJobs,
  };
}

/** A standing without its points. */
export function standingSummary({ points: _points, ...summary }: LifeStanding): StandingSummary {
  return summary;
}
