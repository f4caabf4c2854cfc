import type { VisitLine } from '@weskopos/contract';
import type { Vehicle } from '@weskopos/core';
import type { Cell } from './csv';

/** What stands beside the files of photos: what each shows, for who has no other program than one for pictures. */
export const PHOTO_COLUMNS = [
  'file',
  'fleetCode',
  'startedAt',
  'point',
  'place',
  'caption',
  'note',
  'by',
  'visit',
  'photo',
] as const;

/** Every photo of a visit once, by the last finding that has it. @param fileOf the file of a photo; null where it is not there */
export function photoRows(
  { fleetCode }: Pick<Vehicle, 'fleetCode'>,
  { inspection, findings }: Pick<VisitLine, 'inspection' | 'findings'>,
  fileOf: (photo: string) => string | null,
): readonly (readonly Cell[])[] {
  const last = new Map(findings.flatMap((finding) => finding.photos.map((photo) => [photo.id, { finding, photo }])));
  return [...last.values()].map(({ finding: { point, place, note, by }, photo: { id, caption } }) => [
    ...[fileOf(id), fleetCode, inspection.startedAt, point, place, caption, note, by],
    ...[inspection.id, id],
  ]);
}
