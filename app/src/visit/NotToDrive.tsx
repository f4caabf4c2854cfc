import { notToDrive, type GradedPoint } from '@weskopos/core';
import { Card } from '../kit/Card';
import { usePalette } from '../kit/theme';
import { Words } from '../kit/Words';
import { pointShort, type Seats } from '@weskopos/words/show';
import { visit as say } from '@weskopos/words/en/pages/visit';

/** That it should not be driven, by what; nothing where nothing of that kind failed. */
export function NotToDrive({ points, seats }: { readonly points: readonly GradedPoint[]; readonly seats: Seats }) {
  const palette = usePalette();
  const failed = notToDrive(points);
  if (failed.length === 0) return null;
  const names = failed.map(({ point, place }) => pointShort(point, place, seats)).join(', ');
  return (
    <Card ground={palette.failWash}>
      <Words strong>{say.shouldNotBeDriven(names)}</Words>
    </Card>
  );
}
