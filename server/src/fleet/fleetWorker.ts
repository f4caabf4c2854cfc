import type { Scorecard } from '@weskopos/contract';
import type { VehicleBoard } from '@weskopos/core/outlook';
import type { FleetKnowledge, Rules } from '@weskopos/core';
import { scoreLine, type Judgement } from '@weskopos/core/score/judge';
import { groupBy } from '@weskopos/core/sums/groupBy';
import { heldUp, widthOfEnds } from '@weskopos/core/score/heldEnds';
import { mapRecord } from '@weskopos/core/sums/keyed';
import type { FleetRates, PartHistory } from '@weskopos/core/wear/fleetRates';
import { learnRates } from '@weskopos/core/wear/learnRates';
import { learnWidths } from '@weskopos/core/wear/learnWidths';
import { learnUsage, type MeterPoint } from '@weskopos/core/wear/usageModel';
import { parentPort } from 'node:worker_threads';
import { sumVehicle } from './sumVehicle';
import type { VehiclePage } from './vehiclePages';

/** The fleet's sums in a thread of their own: the server's event loop never stands still for them. */

export type FleetRequest =
  | { readonly kind: 'start'; readonly knowledge: FleetKnowledge; readonly rules: Rules }
  | { readonly kind: 'page'; readonly page: VehiclePage }
  | { readonly kind: 'finish'; readonly now: string };

/** What the whole fleet comes to. */
export interface FleetAnswer {
  readonly knowledge: FleetKnowledge;
  readonly scores: Pick<Scorecard, 'forecasts' | 'byKind' | 'byUse' | 'byInspector'>;
}
/** What the fleet's thread says to the server. */
export type FleetReply =
  /** With the vehicle's sum: all of them at once would hold the other side up. */
  | { readonly kind: 'taken'; readonly board: VehicleBoard | null }
  | { readonly kind: 'done'; readonly answer: FleetAnswer }
  | { readonly kind: 'failed'; readonly message: string };

const port = parentPort;
if (!port) throw new Error('this file runs as a worker thread only');

let given: { readonly knowledge: FleetKnowledge; readonly rules: Rules } | null = null;
const histories: PartHistory[] = [];
const meters: (readonly MeterPoint[])[] = [];
const judged: Judgement[] = [];
/** After whose visit, and of a vehicle used for what. */
const judgedOf = new Map<Judgement, { readonly by: string; readonly use: string }>();

function take(request: FleetRequest): FleetReply {
  if (request.kind === 'start') {
    given = request;
    return { kind: 'taken', board: null };
  }
  if (!given) throw new Error('asked before it was started');
  if (request.kind === 'page') {
    const sum = sumVehicle(request.page, given.rules, given.knowledge);
    histories.push(...sum.histories);
    if (request.page.vehicle.meterUnit === 'km') meters.push(sum.meters);
    judged.push(...sum.judged);
    for (const [index, one] of sum.judged.entries())
      judgedOf.set(one, { by: request.page.forecastBy[index] ?? '', use: request.page.vehicle.use });
    return { kind: 'taken', board: sum.board };
  }
  const rates = learnRates(histories);
  const lines = (key: (one: Judgement) => string) =>
    [...groupBy(judged, key)]
      .map(([name, ones]) => scoreLine(name, ones))
      .sort((a, b) => a.name.localeCompare(b.name, 'en'));
  return {
    kind: 'done',
    answer: {
      knowledge: {
        learnedAt: request.now,
        rates,
        use: learnUsage(meters),
        widths: widthsOf(rates),
        held: mapRecord(byKind(), heldUp),
      },
      scores: {
        forecasts: judged.length,
        byKind: lines(({ forecast }) => forecast.kind),
        byUse: lines((one) => judgedOf.get(one)?.use ?? ''),
        byInspector: lines((one) => judgedOf.get(one)?.by ?? ''),
      },
    },
  };
}

const byKind = () => Object.fromEntries(groupBy(judged, ({ forecast }) => forecast.kind));

/** As wide as later readings say, and as the ends do. */
function widthsOf(rates: FleetRates): FleetKnowledge['widths'] {
  const byReadings = learnWidths(histories, rates);
  const byEnds = Object.entries(byKind()).flatMap(([kind, ones]) => {
    const width = widthOfEnds(ones);
    return width && width.width > (byReadings[kind]?.width ?? 1) ? [[kind, width] as const] : [];
  });
  return { ...byReadings, ...Object.fromEntries(byEnds) };
}

port.on('message', (request: FleetRequest) => {
  try {
    port.postMessage(take(request));
  } catch (error) {
    port.postMessage({ kind: 'failed', message: error instanceof Error ? error.message : String(error) });
  }
});
