import type { VehicleBoard } from '@weskopos/core/outlook';
import type { FleetKnowledge, Rules } from '@weskopos/core';
import type { Engine } from '../db/engine';
import { startThread } from '../db/startThread';
import { ThreadTalk } from '../db/threadTalk';
import type { FleetAnswer, FleetReply, FleetRequest } from './fleetWorker';
import { readVehiclePage } from './vehiclePages';

/** Pages on their way to the thread at once: it is never idle, and never far behind. */
const AHEAD = 4;

/** Reads the whole fleet vehicle by vehicle and sums it up in a thread; what is learned counts from the next time on. */
export async function recomputeFleet(
  engine: Engine,
  knowledge: FleetKnowledge,
  rules: Rules,
  now: string,
): Promise<FleetAnswer & { readonly boards: readonly VehicleBoard[] }> {
  const thread = new ThreadTalk<FleetRequest, FleetReply>(startThread(__dirname, 'fleetWorker'));
  const boards: VehicleBoard[] = [];
  const ask = async (request: FleetRequest) => {
    const reply = await thread.ask(request);
    if (reply.kind === 'taken' && reply.board) boards.push(reply.board);
    return reply;
  };
  try {
    const under: Promise<FleetReply>[] = [unheard(ask({ kind: 'start', knowledge, rules }))];
    for (const { id } of await engine.query<{ id: string }>('select id from vehicle order by id')) {
      const page = await readVehiclePage(engine, id);
      if (page) under.push(unheard(ask({ kind: 'page', page })));
      while (under.length >= AHEAD) await under.shift();
    }
    await Promise.all(under);
    const reply = await ask({ kind: 'finish', now });
    if (reply.kind !== 'done') throw new Error('the fleet’s thread gave no answer');
    return { ...reply.answer, boards };
  } finally {
    await thread.end();
  }
}

/** Waited for in its turn; a failure until then is no unhandled one, which would end the server. */
function unheard<T>(answer: Promise<T>): Promise<T> {
  answer.catch(() => undefined);
  return answer;
}
