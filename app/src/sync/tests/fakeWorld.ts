import type { Life, Operation, OperationOutcome, Person, YardEntry } from '@weskopos/contract';
import { BUILT_IN_FLEET, type Rulebook } from '@weskopos/core';
import { CAR } from '@weskopos/core/tests/builders';
import type { WorkshopPorts } from '../createWorkshop';
import { openDeviceStore } from '../deviceStore';
import { foldLife } from '../foldLife';
import { createTransport } from '../transport';

export const ISLA: Person = { id: '00000000-0000-4000-8000-00000000000b', name: 'Isla', role: 'inspector' };
export const LEARNED_AT = '2026-06-01T03:00:00.000Z';

/** The workshop's server in memory, behind the page's ports. */
class FakeServer {
  up = true;
  session = false;
  life: Life = { vehicle: CAR, visits: [], entries: [] };
  rulebooks: Rulebook[] = [];
  /** Of the life; empty: nobody knows, and it is fetched each time. */
  version = '';
  /** How often the life was asked for. */
  fetched = 0;
  readonly seen = new Set<string>();

  answer(method: string, url: string, body: string | undefined): { status: number; json: unknown } {
    const problem = (status: number) => ({ status, json: { type: 't', title: 't', status, code: 'c' } });
    if (url === '/api/workshop') return { status: 200, json: { empty: false } };
    if (url === '/api/session' && method === 'DELETE') {
      this.session = false;
      return { status: 200, json: {} };
    }
    if (!this.session) return problem(401);
    if (url === '/api/session') return { status: 200, json: ISLA };
    if (url === '/api/rulebooks') return { status: 200, json: this.rulebooks };
    if (url === '/api/fleet/knowledge') return { status: 200, json: { ...BUILT_IN_FLEET, learnedAt: LEARNED_AT } };
    if (url === '/api/yard')
      return {
        status: 200,
        json: [{ vehicle: CAR, standing: null, last: null, open: null, version: this.version }] satisfies YardEntry[],
      };
    if (url.endsWith('/life')) {
      this.fetched += 1;
      return { status: 200, json: this.life };
    }
    if (url !== '/api/operations') return problem(404);
    const { operations } = JSON.parse(body ?? '') as { operations: Operation[] };
    const outcomes = operations.map((operation): OperationOutcome => {
      const repeated = this.seen.has(operation.id);
      this.seen.add(operation.id);
      this.life = foldLife(this.life, operation, ISLA.name) ?? this.life;
      if (operation.kind === 'rulebook.put') this.rulebooks = [...this.rulebooks, operation.body];
      return { id: operation.id, status: repeated ? 'repeated' : 'applied', refusal: null };
    });
    return { status: 200, json: outcomes };
  }
}

export const server = new FakeServer();

let ids = 0;
/** The world of a page without a browser, in place of the browser's own. */
export const BROWSER: WorkshopPorts = {
  server: createTransport({
    fetch: (path, init) => {
      if (!server.up) return Promise.reject(new TypeError('no network'));
      const { status, json } = server.answer(init.method ?? 'GET', path, init.body as string | undefined);
      return Promise.resolve(new Response(JSON.stringify(json), { status }));
    },
    heardServer: () => undefined,
  }),
  openStore: openDeviceStore,
  later: () => () => undefined,
  onOnline: () => undefined,
  newId: () => `10000000-0000-4000-8000-${String((ids += 1)).padStart(12, '0')}`,
  now: () => '2026-06-01T09:00:00.000Z',
  deviceId: 'bay-one',
};
