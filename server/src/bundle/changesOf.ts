import {
  OPERATION_VERSIONS,
  type EntryLine,
  type Operation,
  type PhotoLine,
  type RulebookLine,
  type StoredFinding,
  type VisitLine,
} from '@weskopos/contract';
import type { Vehicle } from '@weskopos/core';
import { groupBy } from '@weskopos/core/sums/groupBy';
import type { Line, Outcome, OwnOperation } from '../ledger/change';
import type { Sealed } from '../signing/signature';

/** A change that took effect once, wherever that was. */
export type TakenLine = Required<Line>;

/** What changes are stamped with. */
export interface Stamps {
  /** The person of a name; somebody who is not here is made up first. */
  readonly personOf: (name: string) => string;
  readonly newId: () => string;
  /** Who takes the bundle, and when. */
  readonly by: string;
  readonly receivedAt: string;
  /** Where they come from, as changes name a device. */
  readonly device: string;
}

/** What a change is of: its kind and body go together. */
type What = Pick<Operation, 'kind' | 'body'> | Pick<OwnOperation, 'kind' | 'body'>;

/** The changes that bring records of a bundle about, with the outcomes they had: nothing is judged anew. */
export class ChangesOf {
  constructor(private readonly stamps: Stamps) {}

  stranger(id: string, name: string): TakenLine[] {
    const { by, receivedAt } = this.stamps;
    // No hash is like this: nobody comes in by it until a lead gives out a code.
    const body = { id, name, role: 'inspector', secretHash: '-' } as const;
    return [
      this.line({ kind: 'person.add', body }, by, receivedAt),
      this.line({ kind: 'person.change', body: { id, state: 'gone' } }, by, receivedAt),
    ];
  }

  vehicle(vehicle: Vehicle): TakenLine[] {
    return [this.line({ kind: 'vehicle.put', body: vehicle }, this.stamps.by, this.stamps.receivedAt)];
  }

  rulebook({ rulebook, by, at }: RulebookLine): TakenLine[] {
    return [this.line({ kind: 'rulebook.put', body: rulebook }, this.stamps.personOf(by), at)];
  }

  photo({ by, at, ...body }: PhotoLine): TakenLine[] {
    return [this.line({ kind: 'photo.add', body }, this.stamps.personOf(by), at)];
  }

  entry({ entry: { by, ...entry }, writtenAt }: EntryLine): TakenLine[] {
    return [this.line({ kind: 'entry.put', body: entry }, this.stamps.personOf(by), writtenAt)];
  }

  signature(body: Sealed): TakenLine[] {
    return [this.line({ kind: 'signature.add', body }, this.stamps.by, this.stamps.receivedAt)];
  }

  visit({ inspection, inspector, findings, acts, amendments, ...told }: VisitLine): TakenLine[] {
    const { personOf } = this.stamps;
    const { id: inspectionId, startedAt, signedAt, signedOver, voidedAt, voidedWhy } = inspection;
    const ahead = inspection.ahead ?? [];
    const verdict = { grade: told.grade, counts: told.counts };
    const amendmentOf = new Map(amendments.map((one) => [one.findingId, one]));
    const plain = groupBy(findings, ({ id }) => (amendmentOf.has(id) ? 'amending' : 'before'));
    const unsigned = { signedAt: null, signedOver: null, ahead: null, voidedAt: null, voidedWhy: null };
    const lines = [
      this.line({ kind: 'inspection.start', body: { ...inspection, ...unsigned } }, personOf(inspector), startedAt),
      ...(plain.get('before') ?? []).map(({ by, ...body }) =>
        this.line({ kind: 'finding.put', body }, personOf(by), body.at),
      ),
      // What is referred to comes before what refers to it, whatever the clocks of two devices said.
      ...[...acts]
        .sort((a, b) => Number(refers(a)) - Number(refers(b)))
        .map(({ by, ...body }) => this.line({ kind: 'act.put', body }, personOf(by), body.at)),
    ];
    if (signedAt !== null) {
      const outcome = { ...verdict, over: signedOver, ahead, forecasts: told.forecasts, sheet: told.sheet };
      const body = { inspectionId, signedAt };
      lines.push(this.line({ kind: 'inspection.sign', body }, personOf(told.signedBy ?? inspector), signedAt, outcome));
    }
    for (const { by, ...amended } of parentsFirst(plain.get('amending') ?? [])) {
      const amendment = amendmentOf.get(amended.id);
      if (!amendment) continue;
      const { id, at, why, points } = amendment;
      const body = { id, inspectionId, at, why, finding: amended };
      lines.push(this.line({ kind: 'amendment.put', body }, personOf(by), at, { points, ...verdict }));
    }
    if (voidedAt !== null) {
      const body = { inspectionId, at: voidedAt, why: voidedWhy ?? '' };
      lines.push(this.line({ kind: 'inspection.void', body }, personOf(told.voidedBy ?? inspector), voidedAt));
    }
    return lines;
  }

  private line(what: What, by: string, at: string, outcome: Outcome = {}): TakenLine {
    const { newId, receivedAt, device } = this.stamps;
    const v = what.kind in OPERATION_VERSIONS ? OPERATION_VERSIONS[what.kind as Operation['kind']] : undefined;
    const operation = { id: newId(), at, device, ...(v === undefined ? {} : { v }), ...what } as Operation;
    return { operation, by, receivedAt, outcome };
  }
}

const refers = (act: VisitLine['acts'][number]): boolean => 'opens' in act || 'waits' in act;

/** Everybody a visit names. */
export const namesIn = ({ inspector, signedBy, voidedBy, findings, acts, amendments }: VisitLine): string[] =>
  [inspector, signedBy, voidedBy, ...[...findings, ...acts, ...amendments].map(({ by }) => by)].filter(
    (name) => name !== null,
  );

/** Entries in an order in which each comes behind the one it names, whatever the clocks of two devices said. */
function parentsFirst(findings: readonly StoredFinding[]): StoredFinding[] {
  const [left, sorted] = [new Map(findings.map((one) => [one.id, one])), [] as StoredFinding[]];
  const put = (one: StoredFinding) => {
    if (!left.delete(one.id)) return;
    const parent = one.parent === null ? undefined : left.get(one.parent);
    if (parent) put(parent);
    sorted.push(one);
  };
  for (const one of findings) put(one);
  return sorted;
}
