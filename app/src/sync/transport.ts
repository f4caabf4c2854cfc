import { entryOf } from '@weskopos/core';
import type { AnswerOf, BodyOf, ImportPlan, PaperStyle, ParamsOf, Problem, SheetLook } from '@weskopos/contract';
import {
  BUNDLE_PATHS,
  DOORS,
  GUARD_HEADER,
  PDF_PATH,
  PHOTO_PATH,
  SHEETS_PATH,
  isProblem,
  type EndpointName,
} from '@weskopos/contract/device';

/** The server was not reached, or answered nothing of ours: try again later. */
export class Unreachable extends Error {}

/** The server is there and failed at what was sent: nothing was decided about it. */
export class ServerFailed extends Unreachable {
  constructor(readonly problem: Problem) {
    super(problem.code);
  }
}

/** The server answered with a problem. */
export class ServerProblem extends Error {
  constructor(readonly problem: Problem) {
    super(problem.code);
  }
}

const TIME_LIMIT_MS = 20_000;
/** For what goes through a whole workshop at the server. */
const LONG_LIMIT_MS = 60 * 60_000;
const LONG: readonly EndpointName[] = ['takeImport', 'planSheet', 'takeSheet', 'verify', 'takeBackup'];

/** What a transport needs of the world around it. */
export interface TransportPorts {
  readonly fetch: (path: string, init: RequestInit) => Promise<Response>;
  /** Hears the server's time with every answer of its own, epoch ms. */
  readonly heardServer: (epochMs: number) => void;
}

/** How the app talks to its server. */
export interface Transport {
  /** Calls a declared endpoint. Throws {@link Unreachable} or {@link ServerProblem}. */
  readonly call: <N extends EndpointName>(
    name: N,
    given?: { readonly params?: ParamsOf<N>; readonly body?: BodyOf<N> },
  ) => Promise<AnswerOf<N>>;
  /** Sends a photo's bytes under its id. Throws {@link Unreachable} or {@link ServerProblem}. */
  readonly sendPhoto: (id: string, blob: Blob) => Promise<void>;
  /** Sends a bundle and hears what taking it would do. Throws {@link Unreachable} or {@link ServerProblem}. */
  readonly sendBundle: (archive: Blob) => Promise<ImportPlan>;
  /** Sends a table under its file's name and hears what it looks like. Throws {@link Unreachable} or {@link ServerProblem}. */
  readonly sendSheet: (file: Blob, name: string) => Promise<SheetLook>;
  /** The report of a visit as a file. Throws {@link Unreachable} or {@link ServerProblem}. */
  readonly fetchPdf: (visitId: string, style: PaperStyle) => Promise<Blob>;
}

/** A transport over something that fetches. */
export function createTransport(ports: TransportPorts): Transport {
  return {
    call: async <N extends EndpointName>(
      name: N,
      { params, body }: { readonly params?: ParamsOf<N>; readonly body?: BodyOf<N> } = {},
    ) => {
      const { method, path } = DOORS[name];
      const filled = path.replace(/:(\w+)/g, (_, key: string) =>
        encodeURIComponent(String(entryOf<unknown>({ ...params }, key))),
      );
      const answer = await request(
        ports,
        filled,
        {
          method: method.toUpperCase(),
          headers: { [GUARD_HEADER]: '1', ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
          ...(body === undefined ? {} : { body: JSON.stringify(body) }),
        },
        LONG.includes(name) ? LONG_LIMIT_MS : TIME_LIMIT_MS,
      );
      // The server validates what it sends by the same declaration in its tests; parsing it all again would cost the phone.
      return answer as AnswerOf<N>;
    },
    sendPhoto: async (id, blob) => {
      await request(ports, `${PHOTO_PATH}/${id}`, {
        method: 'POST',
        headers: { [GUARD_HEADER]: '1', 'content-type': blob.type || 'application/octet-stream' },
        body: blob,
      });
    },
    sendBundle: async (archive) => {
      const init = {
        method: 'POST',
        headers: { [GUARD_HEADER]: '1', 'content-type': 'application/zip' },
        body: archive,
      };
      return (await request(ports, BUNDLE_PATHS.imports, init, LONG_LIMIT_MS)) as ImportPlan;
    },
    sendSheet: async (file, name) => {
      const init = {
        method: 'POST',
        headers: { [GUARD_HEADER]: '1', 'content-type': 'application/octet-stream' },
        body: file,
      };
      const path = `${SHEETS_PATH}?${new URLSearchParams({ name }).toString()}`;
      return (await request(ports, path, init, LONG_LIMIT_MS)) as SheetLook;
    },
    fetchPdf: async (visitId, style) => {
      const path = `${PDF_PATH.replace(':id', visitId)}?${new URLSearchParams(style).toString()}`;
      return (await answered(ports, path, { method: 'GET' }, LONG_LIMIT_MS)).blob();
    },
  };
}

async function request(
  ports: TransportPorts,
  path: string,
  init: RequestInit,
  limitMs = TIME_LIMIT_MS,
): Promise<unknown> {
  return (await answered(ports, path, init, limitMs)).json().catch(() => undefined);
}

/** What the server answers, where it is no problem. */
async function answered(ports: TransportPorts, path: string, init: RequestInit, limitMs: number): Promise<Response> {
  let response: Response;
  try {
    response = await ports.fetch(path, {
      ...init,
      credentials: 'same-origin',
      signal: AbortSignal.timeout(limitMs),
    });
  } catch (error) {
    throw new Unreachable(String(error));
  }
  const served = Date.parse(response.headers.get('date') ?? '');
  // What the service worker answers from its store tells an old time.
  if (path.startsWith('/api/') && !Number.isNaN(served)) ports.heardServer(served);
  if (response.ok) return response;
  const body: unknown = await response.json().catch(() => undefined);
  // A gateway's own page: nothing was decided about what was sent.
  if (!isProblem(body)) throw new Unreachable(`status ${response.status}`);
  throw body.status >= 500 ? new ServerFailed(body) : new ServerProblem(body);
}
