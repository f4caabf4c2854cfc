import type { YardEntry } from '@weskopos/contract';
import { isWrong, type StandingPoint, type Vehicle } from '@weskopos/core';
import type { Href } from 'expo-router';
import type MiniSearch from 'minisearch';
import { words } from '@weskopos/words/en';
import { spine } from '@weskopos/words/en/pages/spine';
import { yard as say } from '@weskopos/words/en/pages/yard';
import { common } from '@weskopos/words/en/pages/common';
import { pointShort, pointWords } from '@weskopos/words/show';

/** One thing that can be found: a vehicle, one of its pages, or something found at it. */
export interface Findable {
  readonly id: string;
  readonly kind: 'vehicle' | 'page' | 'finding';
  readonly vehicleId: string;
  readonly fleetCode: string;
  readonly title: string;
  readonly href: Extract<Href, string>;
  /** What it is known by, beside its code. */
  readonly text: string;
  /** Of a page: its word. A page is only told where that is asked for. */
  readonly page: string;
}

/** Fields that are searched; a code counts most. */
const FIELDS = ['fleetCode', 'text', 'page'] as const;
/** An index, and what its names stand for. */
export interface Finder {
  readonly index: MiniSearch<Findable>;
  readonly known: Map<string, Findable>;
}

/** An empty index. @param Index the package's own class: it is loaded when somebody searches */
export const blankFinder = (Index: typeof MiniSearch): Finder => ({
  index: new Index<Findable>({
    fields: [...FIELDS],
    searchOptions: {
      prefix: true,
      combineWith: 'AND',
      boost: { fleetCode: 3 },
      fuzzy: (term) => (term.length > 4 ? 0.2 : 0),
    },
  }),
  known: new Map(),
});

/** Makes more things findable. */
export function addTo({ index, known }: Finder, more: readonly Findable[]): void {
  for (const one of more) known.set(one.id, one);
  index.addAll(more);
}

/** A code is also found as it is typed in a hurry: without its space. */
const tight = (text: string) => text.replaceAll(' ', '');

/** A vehicle and its pages. */
export function findablesOf({ vehicle }: YardEntry): Findable[] {
  const { id, fleetCode, plate, vin, make, model, use } = vehicle;
  const at: Findable['href'] = `/vehicle/${id}`;
  const codes = `${fleetCode} ${tight(fleetCode)}`;
  const pages: readonly (readonly [string, string])[] = [
    [common.beginAVisit, '/arrive'],
    [spine.page.wear, '/wear'],
    [spine.page.life, '/life'],
    [spine.page.spec, '/spec'],
  ];
  return [
    {
      id,
      kind: 'vehicle',
      vehicleId: id,
      fleetCode: codes,
      title: fleetCode,
      href: at,
      text: [plate, tight(plate), vin, make, model, use, words.vehicleClass[vehicle.class]].join(' '),
      page: '',
    },
    ...pages.map(([page, path]): Findable => ({
      id: `${id} ${path}`,
      kind: 'page',
      vehicleId: id,
      fleetCode: codes,
      title: `${fleetCode}, ${page.toLowerCase()}`,
      href: `${at}${path}`,
      text: '',
      page,
    })),
  ];
}

/** What stands open at a vehicle. */
export function findingsOf(vehicle: Vehicle, points: readonly StandingPoint[]): Findable[] {
  return points
    .filter(({ graded }) => isWrong(graded.result.grade))
    .map(({ graded, inspectionId }) => {
      const { point, place, finding, result } = graded;
      const told = [
        pointWords(point, place, vehicle),
        words.grade[result.grade],
        ...(finding?.words ?? []).map((word) => words.word[word]),
        finding?.note ?? '',
      ];
      return {
        id: `${vehicle.id} ${graded.key}`,
        kind: 'finding',
        vehicleId: vehicle.id,
        fleetCode: `${vehicle.fleetCode} ${tight(vehicle.fleetCode)}`,
        title: say.foundAt(vehicle.fleetCode, pointShort(point, place, vehicle), words.grade[result.grade]),
        href: `/vehicle/${vehicle.id}/visit/${inspectionId}/report`,
        text: `${told.join(' ')} ${pointShort(point, place, vehicle)}`,
        page: '',
      };
    });
}

/** What is found, best first; pages only where their word was asked for. */
export function found({ index, known }: Finder, wanted: string): Findable[] {
  return index.search(wanted).flatMap(({ id, match }) => {
    const one = known.get(String(id));
    const isAsked = one?.kind !== 'page' || Object.values(match).some((fields) => fields.includes('page'));
    return one && isAsked ? [one] : [];
  });
}
