import { newestRulebook, rulebookAt, rulesOf, type Inspection, type Rules } from '@weskopos/core';
import type { Queries } from '../db/engine';
import { readRulebooks } from './readRulebooks';

/** The rules a visit was made under. */
export async function rulesOfVisit(db: Queries, inspection: Pick<Inspection, 'rulebook' | 'template'>): Promise<Rules> {
  return rulesOf(rulebookAt(await readRulebooks(db), inspection.rulebook), inspection.template);
}

/** The rules of today, for what is told of a vehicle as a whole. */
export async function rulesOfToday(db: Queries): Promise<Rules> {
  return rulesOf(newestRulebook(await readRulebooks(db)), 'full');
}
