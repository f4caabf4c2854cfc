import fs from 'node:fs';
import path from 'node:path';
import { createInterface } from 'node:readline';
import type { Tx } from '../db/engine';
import { keepStanding, standingOfLife } from '../inspections/keptStanding';
import { readLife } from '../inspections/readLife';
import { AS_SAID, refused, takes, type TakenBundle, type Writer } from '../ledger/change';
import { UnreadableJournal } from '../ledger/journalProblems';
import { repeat, type Writers } from '../ledger/settle';
import type { TakenLine } from './changesOf';
import { lifeTouched } from './laidReady';

/** Changes whose effects are written together. */
const AT_ONCE = 400;
/** In this order kinds lean on each other: those of several visits are written kind by kind. */
const ORDER = [
  'person.add',
  'person.change',
  'rulebook.put',
  'photo.add',
  'vehicle.put',
  'inspection.start',
  'finding.put',
  'act.put',
  'inspection.sign',
  'amendment.put',
  'inspection.void',
  'entry.put',
  'signature.add',
];

/**
 * Takes what of a bundle is new here, from the file that was laid ready: one line of the journal, so that it is taken
 * whole or not at all, then and at every replay.
 *
 * @param imports folder of such files
 */
export function takeBundle(writers: () => Writers, imports: string): Writer<TakenBundle> {
  return {
    long: true,
    async decide(tx, _change, { vehicles }) {
      const [there] = await tx.query(
        'select 1 from vehicle where id = any(array(select jsonb_array_elements_text($1::jsonb)::uuid))',
        [JSON.stringify(vehicles)],
      );
      return there ? refused('already-there') : takes(AS_SAID);
    },
    async effect(tx, _change, { file }) {
      const touched = new Set<string>();
      let waiting: TakenLine[] = [];
      const write = async () => {
        const inOrder = [...waiting].sort((a, b) => ORDER.indexOf(a.operation.kind) - ORDER.indexOf(b.operation.kind));
        await repeat(tx, inOrder, writers());
        waiting = [];
      };
      for await (const lines of laidReady(path.join(imports, file))) {
        waiting.push(...lines);
        for (const { operation } of lines) {
          const of = lifeTouched(operation);
          if (of !== null) touched.add(of);
        }
        if (waiting.length >= AT_ONCE) await write();
      }
      await write();
      for (const id of touched) await standAnew(tx, id);
    },
  };
}

/** The changes of one record after the other, from a file laid ready. */
async function* laidReady(file: string): AsyncGenerator<TakenLine[]> {
  if (!fs.existsSync(file))
    throw new UnreadableJournal(
      `What was taken from a bundle is not there: ${path.basename(file)} in the folder imports. Restore the whole data folder from one copy.`,
    );
  for await (const line of createInterface({ input: fs.createReadStream(file), crlfDelay: Infinity }))
    if (line !== '') yield JSON.parse(line) as TakenLine[];
}

/** How a vehicle stands follows from its whole life: worked out once all of it is there. */
async function standAnew(tx: Tx, vehicleId: string): Promise<void> {
  const life = await readLife(tx, vehicleId);
  if (life) await keepStanding(tx, vehicleId, await standingOfLife(tx, life));
}
