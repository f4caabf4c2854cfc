import { runsOf } from '@weskopos/core/sums/runsOf';
import type { OperationOutcome, Refusal } from '@weskopos/contract';
import type { Queries, Tx } from '../db/engine';
import { auditedOf } from './audited';
import type { Asks, Change, Line, Outcome, Taken, Writer } from './change';

/** How each kind of change is taken; handed in, so that the ledger knows of none. */
export interface Writers {
  readonly of: (kind: string) => Writer<unknown> | undefined;
}

/** What became of changes, inside a transaction that is still open. */
export interface Settled {
  readonly outcomes: readonly OperationOutcome[];
  /** What took effect, in that order. */
  readonly lines: readonly Line[];
}

/**
 * Takes changes one after another inside a transaction: what was answered before is answered so again, the rest is judged
 * by what stands by then, and takes effect or is refused. An operation takes effect once, by its id.
 *
 * @param behind number of the journal line the lines will stand behind, to note the last of them as held; undefined
 *   where the caller does
 */
export async function settle(
  tx: Tx,
  changes: readonly Change[],
  writers: Writers,
  asks: Asks,
  behind?: number,
): Promise<Settled> {
  const runs = runsOf(changes, ofOneKind);
  const [first] = runs;
  // Most often there is one run, and nothing of it was answered before: both are asked for in one breath.
  const [firstFacts, answered] = await Promise.all([
    first && factsOf(tx, writerOf(writers, first[0]), first),
    answersTo(tx, changes),
  ]);
  const taking = new Taking(tx, asks);
  const outcomes: OperationOutcome[] = [];
  const written: Written[] = [];
  for (const run of runs) {
    const writer = writerOf(writers, run[0]);
    const facts = run === first ? firstFacts : await factsOf(tx, writer, run);
    for (const change of run) {
      const { id } = change.operation;
      const before = answered.get(id);
      if (before !== undefined) {
        outcomes.push({ id, status: 'repeated', refusal: before });
        continue;
      }
      const refusal = await taking.one(change, writer, facts);
      answered.set(id, refusal);
      written.push({ change, refusal });
      outcomes.push({ id, status: refusal ? 'refused' : 'applied', refusal });
    }
    taking.flush();
  }
  const { lines } = taking;
  const moved = behind !== undefined && lines.length > 0 ? setPosition(tx, behind + lines.length) : undefined;
  await Promise.all([taking.done(), writeDown(tx, written), moved]);
  return { outcomes, lines };
}

const factsOf = (tx: Tx, { together }: Writer<unknown>, run: readonly Change[]): Promise<unknown> =>
  together ? together.facts(tx, run.map(bodyOf)) : Promise.resolve(undefined);

/** Changes on their way into the database: those that can wait are written together, and nobody waits for what is written. */
class Taking {
  readonly lines: Line[] = [];
  private readonly written: Promise<void>[] = [];
  private waiting: Taken<unknown, Outcome>[] = [];
  private writer: Writer<unknown> | null = null;

  constructor(
    private readonly tx: Tx,
    private readonly asks: Asks,
  ) {}

  async one(change: Change, writer: Writer<unknown>, facts: unknown): Promise<Refusal | null> {
    const body = bodyOf(change);
    const quick = writer.together?.decide(facts, body) ?? null;
    if (!quick) this.flush();
    const decision = quick ?? (await writer.decide(this.tx, change, body, this.asks));
    if (decision.refusal !== null) return decision.refusal;
    const { outcome } = decision;
    writer.together?.took(facts, body);
    if (quick) {
      this.writer = writer;
      this.waiting.push({ change, body, outcome });
    } else {
      const effect = writer.effect(this.tx, change, body, outcome);
      this.under(effect);
      if (writer.long) await effect;
    }
    this.lines.push({ ...change, outcome });
    return null;
  }

  /** Writes what waits: whatever is judged next may lean on it. */
  flush(): void {
    const { waiting, writer } = this;
    this.waiting = [];
    if (waiting.length > 0 && writer?.together) this.under(writer.together.effect(this.tx, waiting));
  }

  /** Resolves when everything is written; rejects with the first that was not. */
  async done(): Promise<void> {
    await Promise.all(this.written);
  }

  private under(effect: Promise<void>): void {
    // Waited for in the end; until then a failure is no unhandled one.
    effect.catch(() => undefined);
    this.written.push(effect);
  }
}

const bodyOf = ({ operation }: Change): unknown => operation.body;

const ofOneKind = (first: Change, { operation }: Change) => first.operation.kind === operation.kind;

/** Repeats what took effect once, as it did then: nothing is judged. */
export async function repeat(tx: Tx, lines: readonly Required<Line>[], writers: Writers): Promise<void> {
  for (const run of runsOf(lines, ofOneKind)) {
    const writer = writerOf(writers, run[0]);
    const taken = () => run.map((line) => ({ change: line, body: bodyOf(line), outcome: line.outcome }));
    if (writer.together) await writer.together.effect(tx, taken());
    else if (writer.repeated) await writer.repeated(tx, taken());
    else for (const line of run) await writer.effect(tx, line, bodyOf(line), line.outcome);
  }
  await writeDown(
    tx,
    lines.map((change) => ({ change, refusal: null })),
  );
}

function writerOf(writers: Writers, { operation: { kind } }: Change): Writer<unknown> {
  const writer = writers.of(kind);
  if (!writer) throw new Error(`no writer for ${kind}`);
  return writer;
}

/** What operations were answered before, by id. */
async function answersTo(db: Queries, changes: readonly Change[]): Promise<Map<string, Refusal | null>> {
  const rows = await db.query<{ id: string; refusal: Refusal | null }>(
    'select id, refusal from operation where id = any(array(select jsonb_array_elements_text($1::jsonb)::uuid))',
    [JSON.stringify(changes.map(({ operation: { id } }) => id))],
  );
  return new Map(rows.map(({ id, refusal }) => [id, refusal]));
}

interface Written {
  readonly change: Change;
  readonly refusal: Refusal | null;
}

/** Whose life a change is of: a vehicle by its own id, or that of a visit. */
interface Touched {
  readonly vehicle: string | null;
  readonly inspection: string | null;
}

function touchedBy({ operation: { kind, body } }: Change): Touched {
  const { id, vehicleId, inspectionId } = body as { id?: string; vehicleId?: string; inspectionId?: string };
  return { vehicle: kind === 'vehicle.put' ? (id ?? null) : (vehicleId ?? null), inspection: inspectionId ?? null };
}

/** Writes operations down with what became of them; a refused one stays refused. The lives they changed are other versions now. */
export async function writeDown(tx: Tx, written: readonly Written[]): Promise<void> {
  if (written.length === 0) return;
  const rows = written.map(({ change, refusal }, at) => {
    const { id, kind, device, at: made_at } = change.operation;
    const { by: person_id, receivedAt: received_at } = change;
    return { id, kind, person_id, device, made_at, received_at, refusal, at, ...touchedBy(change) };
  });
  // One statement for both: each costs a trip to the database. Of several changes of one life the last one counts.
  await tx.query(
    `with r as (
       select * from json_to_recordset($1::json)
         as r (id uuid, kind text, person_id uuid, device text, made_at timestamptz, received_at timestamptz, refusal text,
               at integer, vehicle uuid, inspection uuid)),
     taken as (
       select distinct on (vehicle_id) vehicle_id, id from (
         select coalesce(r.vehicle, i.vehicle_id) as vehicle_id, r.id, r.at
         from r left join inspection i on i.id = r.inspection where r.refusal is null) as of_lives
       where vehicle_id is not null order by vehicle_id, at desc),
     told as (update vehicle v set version = taken.id::text from taken where v.id = taken.vehicle_id)
     insert into operation (id, kind, person_id, device, made_at, received_at, refusal)
     select id, kind, person_id, device, made_at, received_at, refusal from r`,
    [JSON.stringify(rows)],
  );
  await putOnAuditList(tx, written);
}

/** What took effect and only some may do. */
async function putOnAuditList(tx: Tx, written: readonly Written[]): Promise<void> {
  const rows = written.flatMap(({ change, refusal }) => {
    const row = refusal === null ? auditedOf(change) : null;
    return row ? [{ ...row, id: change.operation.id, at: change.receivedAt, person_id: change.by }] : [];
  });
  if (rows.length === 0) return;
  await tx.query(
    `insert into audit (id, at, kind, person_id, subject, about)
     select id, at, kind, person_id, subject, about from json_to_recordset($1::json)
       as r (id uuid, at timestamptz, kind text, person_id uuid, subject uuid, about text)
     on conflict do nothing`,
    [JSON.stringify(rows)],
  );
}

/** Number of the journal's last line whose effect the database holds. */
export async function positionIn(db: Queries): Promise<number> {
  const [row] = await db.query<{ position: number }>('select position::integer as position from ledger');
  return row?.position ?? 0;
}

/** Notes the last journal line whose effect this transaction brings. */
export async function setPosition(tx: Tx, position: number): Promise<void> {
  await tx.query('update ledger set position = $1::bigint', [position]);
}
