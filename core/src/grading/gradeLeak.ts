import type { LeakObservation } from '../catalogue/leaks';
import type { LeakGrade, LimitSheet } from '../limits/limitSheet';
import type { Reason } from './reason';

const WORSE: Record<LeakGrade, LeakGrade> = { pass: 'advisory', watch: 'advisory', advisory: 'fail', fail: 'fail' };

/** Grades a leak by fluid and stage; one step worse when it reaches an exhaust, a brake or a belt (water and washer exempt). */
export function gradeLeak(leak: LeakObservation, sheet: LimitSheet): Reason {
  const { fluid, stage, reaches } = leak;
  if (stage === 'dry') return { rule: 'sound', grade: 'pass' };
  const plain = sheet.leaks[fluid][stage];
  const exempt = fluid === 'water' || fluid === 'washer' || reaches === 'nothing';
  const grade = exempt ? plain : WORSE[plain];
  const watch = grade === 'watch';
  return { rule: 'leak', grade: grade === 'watch' ? 'pass' : grade, watch, fluid, stage, reaches, basis: 'house' };
}
