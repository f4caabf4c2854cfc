import type { LeakObservation } from '../catalogue/leaks';
import type { HouseRules } from '../house/houseRules';
import type { LeakGrade, LimitSheet } from '../limits/limitSheet';
import type { Reason } from './reason';

const WORSE: Record<LeakGrade, LeakGrade> = { pass: 'advisory', watch: 'advisory', advisory: 'fail', fail: 'fail' };

/**
 * Grades a leak by fluid and stage; one step worse when it reaches an exhaust, a brake or a belt (water and washer
 * exempt). Where the house gives a damp seal an advisory at once, damp is never merely watched.
 */
export function gradeLeak(leak: LeakObservation, sheet: LimitSheet, house: Pick<HouseRules, 'dampSeal'>): Reason {
  const { fluid, stage, reaches, place } = leak;
  if (stage === 'dry') return { rule: 'sound', grade: 'pass' };
  const row = sheet.leaks[fluid][stage];
  const plain = row === 'watch' && stage === 'damp' && house.dampSeal === 'advisory' ? 'advisory' : row;
  const exempt = fluid === 'water' || fluid === 'washer' || reaches === 'nothing';
  const grade = exempt ? plain : WORSE[plain];
  const watch = grade === 'watch';
  return { rule: 'leak', grade: watch ? 'pass' : grade, watch, fluid, stage, place, reaches, basis: 'house' };
}
