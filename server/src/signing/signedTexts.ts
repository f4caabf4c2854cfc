import { BUNDLE_RECORDS, type StoredFinding, type Visit } from '@weskopos/contract';
import type { Amendment, Finding, Grade } from '@weskopos/core';
import canonicalize from 'canonicalize';
import type { Queries } from '../db/engine';
import type { ToSign } from './signature';
import { hashOf } from './workshopKey';

/** Who signs, when, and how it is graded from then on. */
interface Told {
  readonly by: string;
  readonly at: string;
  readonly grade: Grade;
  readonly counts: Readonly<Record<Grade, number>>;
}

/** A moment as the database tells it: one spelling, whatever zone it was told in. */
const instant = (at: string) => new Date(at).toISOString();

/** What is said of a visit when it is signed: all that was found, done and shown, the photos by their hashes, the rules by theirs. */
export async function visitText(
  db: Queries,
  visit: Visit,
  told: Told,
): Promise<Pick<ToSign, 'kind' | 'subject' | 'says'>> {
  return sayVisit(visit, told, {
    photos: await photosOf(db, visit.findings),
    rulebook: await rulebookOf(db, visit.inspection.rulebook),
  });
}

/** What a signed visit leans on, by hashes. */
interface LeansOn {
  readonly photos: readonly { readonly id: string; readonly sha256: string | null }[];
  readonly rulebook: { readonly version: number; readonly sha256: string | null };
}

/** As {@link visitText}, of what is known already. */
export function sayVisit(
  { inspection, inspector, findings, acts, sheet }: Visit,
  told: Told,
  leansOn: LeansOn,
): Pick<ToSign, 'kind' | 'subject' | 'says'> {
  const signedAt = instant(told.at);
  return {
    kind: 'visit',
    subject: inspection.id,
    says: {
      records: BUNDLE_RECORDS,
      by: told.by,
      at: signedAt,
      grade: told.grade,
      counts: told.counts,
      visit: { inspection: { ...inspection, signedAt }, inspector, findings, acts, sheet },
      ...leansOn,
    },
  };
}

/** What is said when a signed visit is amended: who, why, what stood before and what stands after. */
export async function amendmentText(
  db: Queries,
  { id, inspectionId, why, points }: Amendment,
  finding: Finding,
  before: StoredFinding | null,
  { by, at, grade, counts }: Told,
): Promise<Pick<ToSign, 'kind' | 'subject' | 'says'>> {
  return {
    kind: 'amendment',
    subject: id,
    says: {
      records: BUNDLE_RECORDS,
      by,
      at: instant(at),
      grade,
      counts,
      inspectionId,
      why,
      points,
      before,
      finding: { ...finding, at: instant(finding.at) },
      photos: await photosOf(db, [finding]),
    },
  };
}

/** What is said when a signed visit is given up, or taken up again. */
export function voidText(
  kind: 'void' | 'restore',
  inspectionId: string,
  { by, at, why }: { readonly by: string; readonly at: string; readonly why: string },
): Pick<ToSign, 'kind' | 'subject' | 'says'> {
  return { kind, subject: inspectionId, says: { by, at: instant(at), why } };
}

/** Photos by the hash of their file; null for one that has not come in when the text is signed. */
async function photosOf(db: Queries, findings: readonly Finding[]): Promise<{ id: string; sha256: string | null }[]> {
  const ids = [...new Set(findings.flatMap(({ photos }) => photos.map(({ id }) => id)))].sort();
  if (ids.length === 0) return [];
  const rows = await db.query<{ id: string; sha256: string }>(
    'select id, sha256 from photo where id = any(array(select jsonb_array_elements_text($1::jsonb)::uuid))',
    [JSON.stringify(ids)],
  );
  const hashes = new Map(rows.map(({ id, sha256 }) => [id, sha256]));
  return ids.map((id) => ({ id, sha256: hashes.get(id) ?? null }));
}

/** The rules a visit was made under, by the hash of their canonical JSON; null for those built in. */
export async function rulebookOf(db: Queries, version: number): Promise<{ version: number; sha256: string | null }> {
  const [row] = await db.query<{ body: object }>('select body from rulebook where version = $1', [version]);
  return { version, sha256: row ? hashOf(canonicalize(row.body) ?? '') : null };
}
