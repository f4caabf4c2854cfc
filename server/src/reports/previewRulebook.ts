import type { RulebookPreview } from '@weskopos/contract';
import { newestRulebook, whatChanges, type Rulebook } from '@weskopos/core';
import type { Queries } from '../db/engine';
import { readLife } from '../inspections/readLife';
import { readRulebooks } from '../rules/readRulebooks';

/** What is shown of the changes; the totals count all of them. */
const MOST_SHOWN = 200;

/**
 * Grades every visit the workshop holds under today's rules and under the proposed ones, vehicle by vehicle so that
 * others are served in between. Changes nothing.
 */
export async function previewRulebook(db: Queries, proposed: Rulebook): Promise<RulebookPreview> {
  const today = newestRulebook(await readRulebooks(db));
  const vehicles = await db.query<{ id: string }>('select id from vehicle order by fleet_code');
  const changes: RulebookPreview['changes'][number][] = [];
  let visits = 0;
  for (const { id } of vehicles) {
    const life = await readLife(db, id);
    for (const visit of life?.visits ?? []) {
      if (!life || visit.inspection.voidedAt !== null) continue;
      visits += 1;
      const { startedAt } = visit.inspection;
      const { fleetCode } = life.vehicle;
      const changed = whatChanges(life.vehicle, visit, today, proposed);
      changes.push(...changed.map((change) => ({ ...change, fleetCode, startedAt })));
    }
  }
  const totals = new Map<string, RulebookPreview['totals'][number]>();
  for (const { before, after } of changes) {
    const key = `${before} ${after}`;
    totals.set(key, { before, after, points: (totals.get(key)?.points ?? 0) + 1 });
  }
  const newestFirst = [...changes].sort((a, b) => b.startedAt.localeCompare(a.startedAt));
  return { visits, points: changes.length, changes: newestFirst.slice(0, MOST_SHOWN), totals: [...totals.values()] };
}
