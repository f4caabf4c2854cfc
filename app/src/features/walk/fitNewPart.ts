import { partOfPoint, standingEntries, type PointRef } from '@weskopos/core';
import { selectLife, useWorkshop } from '../../sync/workshop';
import { putEntry } from '../../visit/putEntry';
import type { Target } from '../../visit/findings';

/**
 * The part at a point was put on new since the last visit: from this visit on it is another one. Said once, however many
 * spots of it are read; nothing where the point looks at no part with an identity.
 */
export async function fitNewPart({ vehicleId, visitId }: Target, { point, place }: PointRef): Promise<void> {
  const what = partOfPoint(point);
  const life = selectLife(useWorkshop.getState(), vehicleId);
  const visit = life?.visits.find(({ inspection }) => inspection.id === visitId);
  if (!what || !life || !visit) return;
  const { entries } = life;
  const { startedAt, meter } = visit.inspection;
  const said = standingEntries(entries).some(
    (entry) => entry.kind === 'fit' && entry.what === what && entry.place === place && entry.at === startedAt,
  );
  if (!said) await putEntry({ vehicleId, meter, at: startedAt }, { kind: 'fit', what, place, fresh: null, note: '' });
}
