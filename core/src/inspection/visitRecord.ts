import type { Finding } from './finding';
import type { Inspection } from './inspection';

/** A visit with every entry made in it. */
export interface VisitRecord {
  readonly inspection: Inspection;
  readonly findings: readonly Finding[];
}
