import { isPointCode } from '@weskopos/core';
import type { RulebookPreview } from '@weskopos/contract';
import { Card } from '../../kit/Card';
import { Heading, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { day, pointShort } from '@weskopos/words/show';
import { rules as say } from '@weskopos/words/en/pages/rules';

/** More lines than this say no more. */
const MOST_LINES = 12;

/** What proposed rules would change over the visits the workshop holds. */
export function PreviewCard({ preview: { visits, points, totals, changes } }: { readonly preview: RulebookPreview }) {
  const grade = (one: (typeof totals)[number]['before']) => words.grade[one].toLowerCase();
  return (
    <Card>
      <Heading level={2}>{say.whatWouldChange}</Heading>
      <Words>{points === 0 ? say.nothingInTheVisitsThere(visits) : say.gradesInVisitsWereThey(points, visits)}</Words>
      {totals.map(({ before, after, points: count }) => (
        <Words key={`${before}${after}`} strong>
          {say.fromTo(count, grade(before), grade(after))}
        </Words>
      ))}
      {changes.slice(0, MOST_LINES).map(({ inspectionId, key, fleetCode, startedAt, before, after }) => {
        const [point = '', place = ''] = key.split('@');
        return (
          <Words key={`${inspectionId}${key}`} size="m" soft>
            {say.pointChanges(
              fleetCode,
              day(startedAt),
              isPointCode(point) ? pointShort(point, place, 2) : key,
              grade(before),
              grade(after),
            )}
          </Words>
        );
      })}
      {changes.length > MOST_LINES ? (
        <Words size="m" soft>
          {say.andMore(points - MOST_LINES)}
        </Words>
      ) : null}
    </Card>
  );
}
