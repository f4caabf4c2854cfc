import {
  DRY,
  LAMPS,
  USUAL_LAMPS,
  cataloguePoint,
  pointKey,
  soundByEye,
  type CataloguePoint,
  type Finding,
  type FindingChange,
  type Reading,
  type WalkStep,
} from '@weskopos/core';
import type { History } from './visitContext';
import { visit as say } from '@weskopos/words/en/pages/visit';
import { common } from '@weskopos/words/en/pages/common';

/** What one tap says of a whole step, and what it is called on the button. */
export interface QuickLook {
  readonly label: string;
  readonly changes: readonly FindingChange[];
}

/**
 * What may be said of an untouched step in one tap, going on to the next: sound, dry, all lit, no play. Null where a
 * gauge must be read, or something was already said. It is offered, never taken by itself.
 */
export function quickLook(
  step: WalkStep,
  standing: ReadonlyMap<string, Finding>,
  history: Pick<History, 'lastLook'>,
): QuickLook | null {
  const looks = step.points.map((ref) => {
    const finding = standing.get(pointKey(ref.point, ref.place));
    if (finding && finding.access !== 'open') return null;
    return sayOf(cataloguePoint(ref.point), history.lastLook(ref)?.finding);
  });
  const [first] = looks;
  if (!first || looks.some((look) => look === null)) return null;
  const changes = looks.flatMap((look) =>
    look ? [{ access: 'seen', accessReason: null, ...look.change } as const] : [],
  );
  return { label: first.label, changes };
}

function sayOf(point: CataloguePoint, last: Finding | undefined): { label: string; change: FindingChange } | null {
  if (soundByEye(point)) return { label: common.sound, change: {} };
  if (point.leakWanted) return { label: say.dry, change: { leaks: [DRY] } };
  if (point.codes) return { label: say.noCodes, change: { codes: [] } };
  if (point.counted === 'lamps') {
    const counts = last?.counts.length
      ? last.counts.map(({ item, of }) => ({ item, good: of, of, found: null, out: [] }))
      : LAMPS.map((item) => ({ item, good: USUAL_LAMPS[item], of: USUAL_LAMPS[item], found: null, out: [] }));
    return { label: common.allLit, change: { counts } };
  }
  if (point.counted === 'all') {
    const of = last?.counts[0]?.of;
    return of
      ? { label: say.allThere(of), change: { counts: [{ item: 'all', good: of, of, found: null, out: [] }] } }
      : null;
  }
  const wanted = point.measures.filter(({ need }) => need !== 'extra');
  if (wanted.length > 0 && wanted.every(({ measure }) => measure === 'play')) {
    const readings = wanted.flatMap(({ measure, spots }) =>
      spots.map((spot): Reading => ({ measure, spot, phase: 'found', values: [0], bound: 'exact', step: null })),
    );
    return { label: say.noPlay, change: { readings } };
  }
  return null;
}
