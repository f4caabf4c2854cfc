import type { LeakLook } from '../trends/standingLooks';
import { LEAK_STAGES, type LeakObservation, type LeakStage } from '../catalogue/leaks';
import type { PointCode } from '../catalogue/catalogue';

/** A place that leaked once, and what became of it. */
export interface LeakSpot {
  readonly key: string;
  readonly point: PointCode;
  readonly fluid: LeakObservation['fluid'];
  readonly place: LeakObservation['place'];
  readonly looks: readonly { readonly at: string; readonly stage: LeakStage; readonly wiped: boolean }[];
  /** Dry twice after it was wiped: closed. Two stages up from its best: worse. */
  readonly fate: 'watched' | 'closed' | 'worse';
}

/** Dry looks in a row after a wipe that close a spot. */
const DRY_LOOKS = 2;
/** Stages up that raise one. */
const RAISED_FROM = 2;

const grade = (stage: LeakStage) => LEAK_STAGES.indexOf(stage);

/**
 * Leak spots over visits: place and fluid are their identity. A look at the point that finds everything dry is a dry look
 * at each of its spots.
 */
export function leakSpots(looks: readonly LeakLook[]): LeakSpot[] {
  const ordered = [...looks].sort((a, b) => a.at.localeCompare(b.at));
  const spots = new Map<
    string,
    {
      point: PointCode;
      fluid: LeakSpot['fluid'];
      place: LeakSpot['place'];
      looks: { at: string; stage: LeakStage; wiped: boolean }[];
    }
  >();
  for (const { point, at, observation } of ordered) {
    if (observation.stage === 'dry') {
      for (const spot of spots.values())
        if (spot.point === point && spot.looks.at(-1)?.at !== at)
          spot.looks.push({ at, stage: 'dry', wiped: observation.wiped });
      continue;
    }
    const key = `${point} ${observation.fluid} ${observation.place}`;
    const spot = spots.get(key) ?? { point, fluid: observation.fluid, place: observation.place, looks: [] };
    spots.set(key, spot);
    spot.looks.push({ at, stage: observation.stage, wiped: observation.wiped });
  }
  return [...spots].map(([key, spot]) => ({ key, ...spot, fate: fateOf(spot.looks) }));
}

function fateOf(looks: LeakSpot['looks']): LeakSpot['fate'] {
  const wipedAt = looks.findLastIndex(({ stage, wiped }) => wiped && stage !== 'dry');
  const since = looks.slice(wipedAt + 1);
  const dryTail = since.length - 1 - since.findLastIndex(({ stage }) => stage !== 'dry');
  if (wipedAt >= 0 && dryTail >= DRY_LOOKS) return 'closed';
  const last = looks.at(-1);
  // Its best since it was last closed, not ever: what was mended and came back is new.
  const best = Math.min(...looks.map(({ stage }) => grade(stage)));
  return last && looks.length > 1 && grade(last.stage) - best >= RAISED_FROM ? 'worse' : 'watched';
}
