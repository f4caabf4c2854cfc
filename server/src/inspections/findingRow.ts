import type { StoredFinding } from '@weskopos/contract';

/** A finding as the database tells it: what belongs to it gathered as JSON. */
export interface FindingRow extends Omit<
  StoredFinding,
  'inspectionId' | 'outOf' | 'accessReason' | 'howRead' | 'inOneStroke' | 'at' | 'override' | 'carried'
> {
  readonly inspection_id: string;
  readonly access_reason: StoredFinding['accessReason'];
  readonly how_read: StoredFinding['howRead'];
  readonly override_grade: NonNullable<StoredFinding['override']>['grade'] | null;
  readonly override_reason: string | null;
  readonly carried_at: string | null;
  readonly carried_from: NonNullable<StoredFinding['carried']>['from'] | null;
  readonly in_one_stroke: boolean;
  readonly made_at: string;
  readonly out_of: StoredFinding['outOf'];
}

const list = (object: string, source: string) => `coalesce((select json_agg(${object}) from ${source}), '[]'::json)`;

/** The columns of a {@link FindingRow} over `finding f join person p`. */
export const FINDING_COLUMNS = `f.id, f.inspection_id, f.parent, f.point, f.place, f.access, f.access_reason, f.words, f.note, f.kept,
  f.made_at, f.how_read, f.standard, f.override_grade, f.override_reason, f.carried_at::text as carried_at, f.carried_from,
  f.in_one_stroke, f.out_of, p.name as by,
  ${list(
    `json_build_object('measure', r.measure, 'spot', r.spot, 'phase', r.phase, 'values', r.values, 'bound', r.bound)`,
    `(select measure, spot, phase, bound, json_agg(value order by n) as values from reading where finding_id = f.id
      group by measure, spot, phase, bound) r`,
  )} as readings,
  ${list(
    `json_build_object('stage', l.stage, 'fluid', l.fluid, 'place', l.place, 'reaches', l.reaches, 'wiped', l.wiped,
      'dropsPerMinute', l.drops_per_minute, 'onlyRunning', l.only_running) order by l.n`,
    'leak l where l.finding_id = f.id',
  )} as leaks,
  ${list(
    `json_build_object('item', c.item, 'good', c.good, 'of', c.of_all) order by c.item`,
    'item_count c where c.finding_id = f.id',
  )} as counts,
  ${list(
    `json_build_object('code', c.code, 'text', c.words, 'state', c.state) order by c.n`,
    'fault_code c where c.finding_id = f.id',
  )} as codes,
  ${list(
    `json_build_object('id', h.photo_id, 'caption', h.caption, 'marks', h.marks) order by h.position`,
    'finding_photo h where h.finding_id = f.id',
  )} as photos`;

export function findingFrom(row: FindingRow): StoredFinding {
  const {
    inspection_id: inspectionId,
    access_reason: accessReason,
    how_read: howRead,
    override_grade: grade,
    override_reason: reason,
    carried_at: at,
    carried_from: from,
    in_one_stroke: inOneStroke,
    made_at: madeAt,
    out_of: outOf,
    ...same
  } = row;
  return {
    ...same,
    inspectionId,
    accessReason,
    howRead,
    inOneStroke,
    outOf,
    override: grade === null ? null : { grade, reason: reason ?? '' },
    carried: at === null || from === null ? null : { at, from },
    at: madeAt,
  };
}
