import { type VisitRecord } from '@weskopos/core';
import { randomUuid, seededRandom } from '@weskopos/core/simulated';
import type { Context } from '@weskopos/server/context';
import { createPerson } from '@weskopos/server/people/createPerson';
import { keepPhoto } from '@weskopos/server/photos/keepPhoto';
import { drawPhoto } from './drawPhoto';
import { lookedAhead, visitIn } from './lookedAhead';
import { logOperations, otherHand, visitOperations } from './visitOperations';
import { MORE_STORIES } from './moreStories';
import { DEMO_PEOPLE, FIRST_STORIES } from './world';

const SEED = 20_26;

/** Fills an empty workshop with the demo world, through the same doors a phone's changes take. Leaves any other as it is. */
export async function seedDemo(context: Context): Promise<void> {
  const { engine, ledger, clock } = context;
  const [anyone] = await engine.query('select 1 from person limit 1');
  if (anyone) return;
  const random = seededRandom(SEED);
  const people = new Map<string, string>();
  for (const person of DEMO_PEOPLE) {
    const [lead] = people.values();
    people.set(person.name, (await createPerson(context, person, lead ?? null)).id);
  }
  const idOf = (name: string) => people.get(name) ?? '';
  for (const story of [...FIRST_STORIES, ...MORE_STORIES]) {
    const vehicle = { ...story.vehicle, id: randomUuid(random) };
    const receivedAt = clock().toISOString();
    await ledger.accept([
      {
        operation: { id: randomUuid(random), at: receivedAt, device: 'demo', kind: 'vehicle.put', body: vehicle },
        by: idOf('Maren'),
        receivedAt,
      },
    ]);
    const log = logOperations(story, vehicle.id, clock(), random).map((operation) => ({
      operation,
      by: idOf('Callum'),
      receivedAt,
    }));
    for (let from = 0; from < log.length; from += 50) await ledger.accept(log.slice(from, from + 50));
    const entries = log.flatMap(({ operation }) => (operation.kind === 'entry.put' ? [operation.body] : []));
    const visits: VisitRecord[] = [];
    for (const [index, visit] of story.visits.entries()) {
      const by = idOf(visit.by);
      const { operations: drawn, photos, secondHand } = visitOperations(story, vehicle.id, index, clock(), random);
      const operations = lookedAhead(drawn, vehicle, visits, entries);
      const made = visitIn(drawn);
      if (made) visits.push(made);
      for (const { id, key } of photos) {
        const [subject, wear] = visit.photos?.[key] ?? ['leak', 0];
        await keepPhoto(context, id, await drawPhoto(subject, wear, Math.floor(random() * 1e6)), by);
      }
      const outcomes = await ledger.accept(
        operations.map((operation) => ({
          operation,
          by: secondHand.has(operation.id) ? idOf(otherHand(visit.by)) : by,
          receivedAt,
        })),
      );
      const refused = outcomes.find(({ refusal }) => refusal);
      if (refused) throw new Error(`the demo's own change was refused: ${refused.refusal}`);
    }
  }
}
