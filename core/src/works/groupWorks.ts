import { cataloguePoint } from '../catalogue/catalogue';
import type { Station } from '../catalogue/points/point';
import { URGENCIES, type Urgency, type WorkCode, type WorkTask } from '../parts/work';
import { groupBy } from '../sums/groupBy';
import { parsePlace } from '../vehicle/place';
import type { AxleNumber } from '../vehicle/vehicle';

/** What is opened once for several works. */
export type Opening =
  | { readonly kind: 'brakes'; readonly axle: AxleNumber }
  | { readonly kind: 'wheels' | 'tray' | 'under' | 'bonnet' | 'alone' };

/** Works that are cheaper together. */
export interface WorkGroup<W> {
  readonly opening: Opening;
  readonly works: readonly W[];
}

const WHEELS: readonly WorkCode[] = ['tyres', 'rotation', 'wheel-bolts', 'alignment'];
const TRAY: readonly WorkCode[] = ['engine-oil', 'oil-filter', 'gearbox-oil', 'transfer-oil', 'axle-oil'];
const BONNET: readonly WorkCode[] = [
  'air-filter',
  'spark-plugs',
  'coolant',
  'timing-belt',
  'auxiliary-belt',
  'battery',
  'fuel-filter',
];
const BRAKES: readonly WorkCode[] = ['pads', 'shoes', 'discs'];
const OF_STATION: Readonly<Partial<Record<Station, 'bonnet' | 'under'>>> = {
  cold: 'bonnet',
  bonnet: 'bonnet',
  under: 'under',
};

function openingOf({ code, point, place }: WorkTask): Opening {
  const axle = parsePlace(place)?.axle;
  if (BRAKES.includes(code) && axle) return { kind: 'brakes', axle };
  if (WHEELS.includes(code)) return { kind: 'wheels' };
  if (TRAY.includes(code)) return { kind: 'tray' };
  if (BONNET.includes(code)) return { kind: 'bonnet' };
  if (point === null) return { kind: 'alone' };
  const { system, station, needs } = cataloguePoint(point);
  if (system === 'brakes' && axle) return { kind: 'brakes', axle };
  if (needs.includes('tray-off')) return { kind: 'tray' };
  if (system === 'tyres') return { kind: 'wheels' };
  return { kind: OF_STATION[station] ?? 'alone' };
}

const keyOf = (opening: Opening) => (opening.kind === 'brakes' ? `brakes ${opening.axle}` : opening.kind);

/**
 * What is done in one go: what shares an opening; a change of the brake fluid with brakes that are opened anyway, so that
 * they are bled once. Who has nobody to share with stands alone. In each group what must come first comes first.
 *
 * @param works most urgent first
 */
export function groupWorks<W extends { readonly task: WorkTask; readonly urgency: Urgency }>(
  works: readonly W[],
): WorkGroup<W>[] {
  const openings = new Map(works.map((work) => [work, openingOf(work.task)]));
  const brakes = [...openings.values()].find(({ kind }) => kind === 'brakes');
  const groups = groupBy(works, (work) =>
    keyOf(work.task.code === 'brake-fluid' && brakes ? brakes : (openings.get(work) ?? { kind: 'alone' })),
  );
  const [together, alone]: [WorkGroup<W>[], W[]] = [[], []];
  for (const same of groups.values()) {
    const opening = same.map((work) => openings.get(work)).find((one) => one && one.kind !== 'alone');
    if (!opening || same.length === 1) alone.push(...same);
    else together.push({ opening, works: inOrder(same) });
  }
  alone.sort((a, b) => works.indexOf(a) - works.indexOf(b));
  const first = ({ works: [one] }: WorkGroup<W>) => (one ? URGENCIES.indexOf(one.urgency) : URGENCIES.length);
  return [
    ...together.sort((a, b) => soonest(a) - soonest(b) || first(a) - first(b)),
    ...(alone.length > 0 ? [{ opening: { kind: 'alone' } as const, works: inOrder(alone) }] : []),
  ];
}

const soonest = <W extends { readonly urgency: Urgency }>({ works }: WorkGroup<W>) =>
  Math.min(...works.map(({ urgency }) => URGENCIES.indexOf(urgency)));

/** What a work waits for where both are done: brakes are bled last, wheels aligned once joints and tyres are as they stay. */
export function comesAfter(later: WorkTask, sooner: WorkTask): boolean {
  if (later.code === 'brake-fluid') return openingOf(sooner).kind === 'brakes';
  if (later.code === 'alignment') return sooner.code === 'tyres' || hangsWheels(sooner);
  return later.code === 'wheel-bolts' && sooner.code !== 'wheel-bolts' && openingOf(sooner).kind === 'wheels';
}

const hangsWheels = ({ point }: WorkTask): boolean => {
  const system = point === null ? null : cataloguePoint(point).system;
  return system === 'suspension' || system === 'steering';
};

/** As given, but for what must come after others. */
function inOrder<W extends { readonly task: WorkTask }>(works: readonly W[]): W[] {
  const waits = (work: W) => works.some((other) => other !== work && comesAfter(work.task, other.task));
  return [...works.filter((work) => !waits(work)), ...works.filter(waits)];
}
