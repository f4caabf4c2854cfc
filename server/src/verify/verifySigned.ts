import {
  OPERATION_RECORDS,
  lift,
  liftVisit,
  type Break,
  type Manifest,
  type SignatureLine,
  type Verified,
  type VisitLine,
} from '@weskopos/contract';
import { groupBy } from '@weskopos/core/sums/groupBy';
import canonicalize from 'canonicalize';
import { keyLines, signatureLines, visitLines } from '../lines/readLines';
import type { Queries } from '../db/engine';
import { errorCode } from '../errorCode';
import type { PhotoFiles } from '../photos/photoFiles';
import { hashFile } from '../signing/hashFile';
import { textsThatStand } from '../signing/blanked';
import { hashOf, isSignedBy } from '../signing/workshopKey';
import { firstDifference } from './firstDifference';

/** What is looked at. */
export interface VerifyNeeds {
  readonly engine: Queries;
  readonly photos: PhotoFiles;
}

/** More say less: who has so many has lost the workshop. */
const MOST_BREAKS = 100;

/** What every text that is signed says. */
interface Said {
  readonly records?: Manifest['records'];
  readonly grade?: string;
  readonly counts?: object;
  readonly visit?: Pick<VisitLine, 'inspection' | 'inspector' | 'findings' | 'acts' | 'sheet'>;
  readonly inspectionId?: string;
  readonly why?: string;
  readonly points?: unknown;
  readonly finding?: VisitLine['findings'][number];
  readonly photos?: readonly { readonly id: string; readonly sha256: string | null }[];
  readonly rulebook?: { readonly version: number; readonly sha256: string | null };
  readonly by?: string;
}

/**
 * Looks at everything that was signed: each text by its hash and signature, the chain by its links, and what the database
 * and the photos say now by what was signed.
 */
export async function verifySigned({ engine, photos }: VerifyNeeds): Promise<Verified> {
  const vehicles = await engine.query<{ id: string; fleet_code: string }>(
    'select id, fleet_code from vehicle order by fleet_code',
  );
  const keys = new Map((await keyLines(engine)).map(({ id, pem }) => [id, pem]));
  const hashes = new Map<string, string | null>();
  const [began] = await engine.query<{ at: string | null }>(
    `select min(i.signed_at) as at from signature s join inspection i on i.id = s.subject where s.kind = 'visit'`,
  );
  const totals = { signatures: 0, unsealed: 0 };
  const breaks: Break[] = [];
  for (const { id, fleet_code: fleetCode } of vehicles) {
    const chain = await signatureLines(engine, 's.vehicle_id = $1', id);
    const visits = await visitLines(engine, 'i.vehicle_id = $1', id);
    const of = new OneVehicle(id, fleetCode, chain, visits, keys);
    of.links();
    const { unsealed } = of.visits(began?.at ?? null);
    await of.rules(engine);
    await of.photos(photos, hashes);
    totals.signatures += chain.length;
    totals.unsealed += unsealed;
    breaks.push(...of.breaks);
    if (breaks.length >= MOST_BREAKS) break;
  }
  return { ...totals, photos: hashes.size, breaks: breaks.slice(0, MOST_BREAKS) };
}

/** What was signed of one vehicle, beside what is known of it now. */
class OneVehicle {
  readonly breaks: Break[] = [];
  private readonly said: ReadonlyMap<SignatureLine, Said>;
  private readonly byId: ReadonlyMap<string, VisitLine>;

  constructor(
    private readonly vehicleId: string,
    private readonly fleetCode: string,
    private readonly chain: readonly SignatureLine[],
    private readonly lines: readonly VisitLine[],
    private readonly keys: ReadonlyMap<string, string>,
  ) {
    this.byId = new Map(lines.map((line) => [line.inspection.id, line]));
    this.said = new Map(chain.map((line) => [line, saidIn(line)]));
  }

  /** Each text by its own hash and signature, and by the one before it. */
  links(): void {
    const known = new Map(this.chain.map(({ hash, n }) => [hash, n]));
    const stands = textsThatStand(this.chain, this.keys);
    for (const line of this.chain) {
      const { hash, key, value, previous, n } = line;
      const pem = this.keys.get(key);
      const at = this.visitOf(line);
      if (!stands(line)) this.breaks.push(this.broken('document-changed', at, `signature ${n}`));
      else if (pem === undefined) this.breaks.push(this.broken('key-unknown', at, key));
      else if (!isSignedBy(pem, hash, value)) this.breaks.push(this.broken('not-by-key', at, `signature ${n}`));
      const told = this.said.get(line) as { previous?: unknown; n?: unknown } | undefined;
      const holds =
        told?.previous === previous && told.n === n && (previous === null ? n === 1 : known.get(previous) === n - 1);
      if (!holds) this.breaks.push(this.broken('one-missing-before', at, `signature ${n}`));
    }
  }

  /** What the database says of each visit now, by what was signed. @param began when the workshop's first signature was made */
  visits(began: string | null): { readonly unsealed: number } {
    let unsealed = 0;
    const bySubject = groupBy(this.chain, ({ subject }) => subject);
    for (const line of this.chain)
      if (line.kind === 'visit' && !this.byId.has(line.subject))
        this.breaks.push(this.broken('record-gone', line.subject, 'visit'));
    for (const visit of this.lines) {
      const { id, signedAt } = visit.inspection;
      const own = bySubject.get(id) ?? [];
      const seal = own.find(({ kind }) => kind === 'visit');
      if (!seal) {
        if (signedAt === null) continue;
        if (began === null || signedAt < began) unsealed += 1;
        else this.breaks.push(this.broken('never-signed', id, signedAt));
        continue;
      }
      const why = this.visitDiffers(visit, seal, own, bySubject);
      if (why !== null) this.breaks.push(this.broken('record-changed', id, why));
    }
    return { unsealed };
  }

  /** The rules a visit was made under are those it was signed with. */
  async rules(db: Queries): Promise<void> {
    for (const [line, { rulebook }] of this.said) {
      if (!rulebook) continue;
      const [row] = await db.query<{ body: object }>('select body from rulebook where version = $1', [
        rulebook.version,
      ]);
      const now = row ? hashOf(canonicalize(row.body) ?? '') : null;
      if (now !== rulebook.sha256)
        this.breaks.push(this.broken('record-changed', this.visitOf(line), `version ${rulebook.version} of the rules`));
    }
  }

  /** Each photo that was signed, by the hash of its file. @param hashes of files looked at already */
  async photos(files: PhotoFiles, hashes: Map<string, string | null>): Promise<void> {
    for (const [line, { photos = [] }] of this.said)
      for (const { sha256 } of photos) {
        if (sha256 === null) continue;
        if (!hashes.has(sha256)) hashes.set(sha256, await hashOfFile(files.pathOf(sha256, 'full')));
        const now = hashes.get(sha256);
        if (now !== sha256)
          this.breaks.push(this.broken(now === null ? 'photo-gone' : 'photo-changed', this.visitOf(line), sha256));
      }
  }

  private visitDiffers(
    visit: VisitLine,
    seal: SignatureLine,
    own: readonly SignatureLine[],
    bySubject: ReadonlyMap<string, readonly SignatureLine[]>,
  ): string | null {
    const { visit: signed, records, by } = this.said.get(seal) ?? {};
    // A text that cannot be read was told with its hash.
    if (!signed || !records) return null;
    const amending = new Set(visit.amendments.map(({ findingId }) => findingId));
    const lifted = liftVisit(signed, records) as typeof signed;
    const last = own.filter(({ kind }) => kind === 'void' || kind === 'restore').at(-1);
    const isVoid = last?.kind === 'void';
    const was = {
      inspection: { ...lifted.inspection, voidedAt: null, voidedWhy: null },
      inspector: lifted.inspector,
      findings: lifted.findings.map(inAnyOrder),
      acts: lifted.acts,
      sheet: lifted.sheet,
      signedBy: by,
      voided: isVoid ? this.said.get(last)?.why : null,
    };
    const { inspection, inspector, acts, sheet, signedBy } = visit;
    const is = {
      inspection: { ...inspection, voidedAt: null, voidedWhy: null },
      inspector,
      findings: visit.findings.filter(({ id }) => !amending.has(id)).map(inAnyOrder),
      acts,
      sheet,
      signedBy,
      voided: inspection.voidedWhy,
    };
    const difference = firstDifference(named(was), named(is));
    if (difference !== null) return difference;
    for (const amendment of visit.amendments) {
      const told = bySubject.get(amendment.id)?.map((line) => this.said.get(line))[0];
      if (!told) return `amendment ${amendment.id}: not signed`;
      const { by: _by, ...finding } = visit.findings.find(({ id }) => id === amendment.findingId) ?? { by: '' };
      const amended = {
        why: told.why,
        by: told.by,
        points: told.points,
        finding: told.finding && inAnyOrder(liftedFinding(told)),
      };
      const now = {
        why: amendment.why,
        by: amendment.by,
        points: amendment.points,
        finding: 'id' in finding ? inAnyOrder(finding) : null,
      };
      const differs = firstDifference(amended, now, 'amendment');
      if (differs !== null) return differs;
    }
    const signedAmendments = this.chain.filter(
      (line) => line.kind === 'amendment' && this.said.get(line)?.inspectionId === inspection.id,
    );
    const known = new Set(visit.amendments.map(({ id }) => id));
    const gone = signedAmendments.find(({ subject }) => !known.has(subject));
    if (gone) return `amendment ${gone.subject}: gone`;
    const latest = this.said.get(signedAmendments.at(-1) ?? seal);
    return firstDifference(
      { grade: latest?.grade, counts: latest?.counts },
      { grade: visit.grade, counts: visit.counts },
    );
  }

  private visitOf(line: SignatureLine): string | null {
    return line.kind === 'amendment' ? (this.said.get(line)?.inspectionId ?? null) : line.subject;
  }

  private broken(code: Break['code'], inspectionId: string | null, about: string): Break {
    const startedAt = this.byId.get(inspectionId ?? '')?.inspection.startedAt ?? null;
    return { code, vehicleId: this.vehicleId, fleetCode: this.fleetCode, inspectionId, startedAt, about };
  }
}

function saidIn({ document }: SignatureLine): Said {
  try {
    return JSON.parse(document) as Said;
  } catch {
    // Its hash does not hold either: told there.
    return {};
  }
}

const liftedFinding = ({ finding, records }: Said): VisitLine['findings'][number] =>
  lift(OPERATION_RECORDS['finding.put'], finding, records?.finding) as VisitLine['findings'][number];

/** The database keeps these lists without an order of its own. */
const inAnyOrder = <F extends { readonly readings?: unknown; readonly counts?: unknown }>(finding: F): F => ({
  ...finding,
  readings: sorted(finding.readings),
  counts: sorted(finding.counts),
});
const sorted = (list: unknown) =>
  Array.isArray(list)
    ? [...(list as unknown[])].sort((a, b) => (String(canonicalize(a)) < String(canonicalize(b)) ? -1 : 1))
    : list;

/** Findings and acts by what they are of, so that a difference says where it is. */
const named = <V extends { readonly findings: VisitLine['findings']; readonly acts: VisitLine['acts'] }>(visit: V) => ({
  ...visit,
  findings: Object.fromEntries(visit.findings.map((one) => [`${one.point} ${one.place} ${one.id.slice(0, 8)}`, one])),
  acts: Object.fromEntries(visit.acts.map((one) => [`${one.kind} ${one.id.slice(0, 8)}`, one])),
});

/** Null where the file is gone. */
async function hashOfFile(file: string): Promise<string | null> {
  try {
    return await hashFile(file);
  } catch (error) {
    if (errorCode(error) === 'ENOENT') return null;
    throw error;
  }
}
