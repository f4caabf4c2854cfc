import type { Visit } from '@weskopos/contract';
import type { Amendment, Finding, Grade } from '@weskopos/core';
import type { Queries } from '../db/engine';
import { seal, type Sealed } from '../signing/signature';
import { amendmentText, visitText, voidText } from '../signing/signedTexts';
import type { WorkshopKey } from '../signing/workshopKey';

/** Who signs, when, and what the visit is graded from then on. */
interface Told {
  readonly by: string | null;
  readonly at: string;
  readonly grade: Grade;
  readonly counts: Readonly<Record<Grade, number>>;
}

/** The name a person is told by in what is signed. */
export async function nameOf(db: Queries, id: string | null): Promise<string> {
  const [person] = await db.query<{ name: string }>('select name from person where id = $1::uuid', [id]);
  return person?.name ?? '';
}

/** A visit as it is signed. @param visit as it is kept from now on */
export async function sealVisit(db: Queries, key: WorkshopKey, visit: Visit, told: Told): Promise<Sealed> {
  const text = await visitText(db, visit, { ...told, by: await nameOf(db, told.by) });
  return seal(db, key, { ...text, vehicleId: visit.inspection.vehicleId });
}

/** An amendment to a signed visit, with what stood before. */
export async function sealAmendment(
  db: Queries,
  key: WorkshopKey,
  { inspection: { vehicleId }, findings }: Visit,
  amendment: Amendment,
  finding: Finding,
  told: Told,
): Promise<Sealed> {
  const before = findings.find(({ id }) => id === finding.parent) ?? null;
  const text = await amendmentText(db, amendment, finding, before, { ...told, by: await nameOf(db, told.by) });
  return seal(db, key, { ...text, vehicleId });
}

/** A signed visit that is given up or taken up again; nothing of one that was never signed. */
export async function sealOfVoid(
  db: Queries,
  key: WorkshopKey | null,
  kind: 'void' | 'restore',
  { inspection }: Visit,
  { by, at, why }: { readonly by: string | null; readonly at: string; readonly why: string },
): Promise<{ readonly sealed?: Sealed }> {
  if (!key || inspection.signedAt === null) return {};
  const text = voidText(kind, inspection.id, { by: await nameOf(db, by), at, why });
  return { sealed: await seal(db, key, { ...text, vehicleId: inspection.vehicleId }) };
}
