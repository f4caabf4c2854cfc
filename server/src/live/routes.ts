import { ALL_WORKS, ENDPOINTS, LIVE_PATH, deviceSchema } from '@weskopos/contract';
import { z } from 'zod';
import type { Engine } from '../db/engine';
import type { LiveHub } from './liveHub';
import { requirePerson, signedInPerson } from '../people/guard';
import { NotFound } from '../http/problems';
import { register, type Api } from '../people/register';

/** A line now and then keeps proxies from closing a quiet answer, ms. */
const HEARTBEAT_MS = 25_000;
/** A visit, a vehicle whose works one looks at, or the works of all. */
const askedSchema = z.object({ id: z.union([z.uuid(), z.literal(ALL_WORKS)]), device: deviceSchema });

/** Live updates of one visit, of the works of one vehicle or of all, and where one stands in it. */
export function liveRoutes(api: Api, { engine, live }: { readonly engine: Engine; readonly live: LiveHub }): void {
  api.app.get(`${LIVE_PATH}/:id`, requirePerson(api), async (request, response) => {
    const { id, device } = askedSchema.parse({ ...request.params, ...request.query });
    if (id !== ALL_WORKS) {
      const [there] = await engine.query(
        'select 1 from inspection where id = $1::uuid union all select 1 from vehicle where id = $1::uuid',
        [id],
      );
      if (!there) throw new NotFound('inspection');
    }
    // Not compressed: a packer would hold events back until it has enough of them.
    response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-cache, no-transform' });
    response.flushHeaders();
    const leave = live.join(id, {
      device,
      name: signedInPerson(response).name,
      send: (event, data) => response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`),
      end: () => response.end(),
    });
    const heartbeat = setInterval(() => response.write(':\n\n'), HEARTBEAT_MS);
    request.on('close', () => {
      clearInterval(heartbeat);
      leave();
    });
  });

  register(api, ENDPOINTS.holdPlace, ({ params, body }) => ({ others: live.move(params.id, body.device, body.stop) }));
}
