import type { Readable } from '@weskopos/core';
import { Words } from '../../kit/Words';
import { words } from '../../words/en';

/** What can be read as the vehicle stands, and what has to wait for another state. */
export function StandsNote({ stands: { now, later } }: { readonly stands: Readable }) {
  if (later.length === 0) return <Words size="m">{`All ${now} points can be read true in their turn.`}</Words>;
  return (
    <Words size="m">
      {`${now} points can be read in their turn. Others must wait: ${later
        .map(({ need, points }) => `${points} for ${words.need[need]}`)
        .join(', ')}.`}
    </Words>
  );
}
