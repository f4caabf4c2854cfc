import type { GradedPoint } from '@weskopos/core';
import type MiniSearch from 'minisearch';
import { everyday } from '@weskopos/words/en/everyday';
import { capital, placeInitials, placeWords, pointName, type Seats } from '@weskopos/words/show';

interface Named {
  readonly id: string;
  readonly name: string;
  readonly place: string;
  readonly also: string;
}

/** Finds points of a visit: by name, by what hands call them, by place in words or initials. */
export type FindPoint = (wanted: string) => readonly string[];

/**
 * An index over a visit's points.
 *
 * @param Index the package's own class: it is loaded when somebody searches
 * @returns keys of the points that match all words, a point's own name before what else it is called
 */
export function pointFinder(Index: typeof MiniSearch, points: readonly GradedPoint[], axles: Seats): FindPoint {
  const index = new Index<Named>({
    fields: ['name', 'place', 'also'],
    storeFields: ['name'],
    searchOptions: {
      prefix: true,
      combineWith: 'AND',
      boost: { name: 6, place: 3 },
      fuzzy: (term) => (term.length > 3 ? 0.2 : 0),
    },
  });
  index.addAll(
    points.map(({ point, place, key }) => ({
      id: key,
      name: pointName(point),
      place: place ? `${placeWords(place, axles)} ${placeInitials(place, axles)}` : '',
      also: `${everyday[point] ?? ''} ${key}`,
    })),
  );
  return (wanted) => {
    const hits = index.search(wanted);
    const whole = capital(wanted.trim().toLowerCase());
    // What is called exactly that comes before what has the word among others.
    const rank = (name: unknown) => (name === whole ? 0 : 1);
    return [...hits].sort((a, b) => rank(a['name']) - rank(b['name'])).map(({ id }) => String(id));
  };
}
