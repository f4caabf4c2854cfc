import { isPointCode } from '@weskopos/core';
import type { RulebookPreview } from '@weskopos/contract';
import { Card } from '../../kit/Card';
import { Heading, Words } from '../../kit/Words';
import { words } from '../../words/en';
import { day, pointShort } from '../../words/show';

/** More lines than this say no more. */
const MOST_LINES = 12;

/** What proposed rules would change over the visits the workshop holds. */
export function PreviewCard({ preview: { visits, points, totals, changes } }: { readonly preview: RulebookPreview }) {
  const grade = (one: (typeof totals)[number]['before']) => words.grade[one].toLowerCase();
  return (
    <Card>
      <Heading level={2}>What would change</Heading>
      <Words>
        {points === 0
          ? `Nothing in the ${visits} visits there are. It counts for new visits only, once it is saved.`
          : `${points} grades in ${visits} visits, were they made under these rules. They stay as they are; new visits are judged so.`}
      </Words>
      {totals.map(({ before, after, points: count }) => (
        <Words key={`${before}${after}`} strong>{`${count} from ${grade(before)} to ${grade(after)}`}</Words>
      ))}
      {changes.slice(0, MOST_LINES).map(({ inspectionId, key, fleetCode, startedAt, before, after }) => {
        const [point = '', place = ''] = key.split('@');
        return (
          <Words key={`${inspectionId}${key}`} size="m" soft>
            {`${fleetCode}, ${day(startedAt)}: ${isPointCode(point) ? pointShort(point, place, 2) : key}, ${grade(before)} to ${grade(after)}`}
          </Words>
        );
      })}
      {changes.length > MOST_LINES ? <Words size="m" soft>{`and ${points - MOST_LINES} more`}</Words> : null}
    </Card>
  );
}
