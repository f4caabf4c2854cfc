import type { VehicleBoard } from '@weskopos/core/outlook';
import type { FleetKnowledge, Rules } from '@weskopos/core';
import type { Engine } from '../db/engine';
import { startThread } from '../db/startThread';
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
  const worker = startThread(__dirname, 'fleetWorker');
  const boards: VehicleBoard[] = [];
  const asked: { readonly resolve: (reply: FleetReply) => void; readonly reject: (error: Error) => void }[] = [];
  const fail = (error: Error) => {
    for (const one of asked.splice(0)) one.reject(error);
  };
  worker.on('error', fail);
  worker.on('exit', (code) => fail(new Error(`the fleet's thread ended (${code})`)));
  worker.on('message', (reply: FleetReply) => asked.shift()?.resolve(reply));
  const ask = (request: FleetRequest) => {
    const answer = new Promise<FleetReply>((resolve, reject) => {
      asked.push({ resolve, reject });
      worker.postMessage(request);
    }).then((reply) => {
      if (reply.kind === 'failed') throw new Error(reply.message);
      if (reply.kind === 'taken' && reply.board) boards.push(reply.board);
      return reply;
    });
    // Each is waited for in its turn; a failure until then is no unhandled one, which would end the server.
    answer.catch(() => undefined);
    return answer;
  };
  try {
    const under: Promise<FleetReply>[] = [ask({ kind: 'start', knowledge, rules })];
    for (const { id } of await engine.query<{ id: string }>('select id from vehicle order by id')) {
      const page = await readVehiclePage(engine, id);
      if (page) under.push(ask({ kind: 'page', page }));
      while (under.length >= AHEAD) await under.shift();
    }
    await Promise.all(under);
    const reply = await ask({ kind: 'finish', now });
    if (reply.kind !== 'done') throw new Error('the fleet’s thread gave no answer');
    return { ...reply.answer, boards };
  } finally {
    await worker.terminate();
  }
}
