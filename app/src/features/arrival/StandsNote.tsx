import type { Readable } from '@weskopos/core';
import { Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { arrival as say } from '@weskopos/words/en/pages/arrival';

/** What can be read as the vehicle stands, and what has to wait for another state. */
export function StandsNote({ stands: { now, later } }: { readonly stands: Readable }) {
  if (later.length === 0) return <Words size="m">{say.allPointsCanBeRead(now)}</Words>;
  return (
    <Words size="m">
      {say.pointsCanBeReadIn(now, later.map(({ need, points }) => say.pointsFor(points, words.need[need])).join(', '))}
    </Words>
  );
}
