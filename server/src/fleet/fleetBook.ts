import type { FleetBoard, Person, Scorecard } from '@weskopos/contract';
import type { VehicleBoard } from '@weskopos/core/outlook';
import { BUILT_IN_FLEET, toldBy, type FleetKnowledge } from '@weskopos/core';
import { setTimeout } from 'node:timers/promises';
import type { StoredForecast } from '@weskopos/core/score/storedForecast';
import type { Engine, Tx } from '../db/engine';
import { rulesOfToday } from '../rules/rulesOfVisit';
import type { FleetAnswer } from './fleetWorker';
import { recomputeFleet } from './recomputeFleet';
import { readHands, readRepeats } from './repeats';
import { sumVehicle } from './sumVehicle';
import { readVehiclePage } from './vehiclePages';

/** The fleet learns anew this often; between, a new visit sums up its own vehicle only. */
const LEARN_EVERY_MS = 24 * 60 * 60 * 1000;

/** What is known of the fleet as a whole: kept in the database where it was learned, in memory where it is only summed up. */
export class FleetBook {
  private readonly boards = new Map<string, VehicleBoard>();
  private scores: FleetAnswer['scores'] = { forecasts: 0, byKind: [], byUse: [], byInspector: [] };
  private learning: Promise<void> | null = null;
  private readonly ended = new AbortController();
  knowledge: FleetKnowledge = BUILT_IN_FLEET;

  constructor(
    private readonly engine: Engine,
    private readonly clock: () => Date,
  ) {}

  /** Takes up what was learned last. */
  async open(): Promise<void> {
    const [row] = await this.engine.query<{ body: FleetKnowledge }>(
      'select body from fleet_knowledge order by learned_at desc limit 1',
    );
    // What an older server learned knows less.
    if (row) this.knowledge = { ...BUILT_IN_FLEET, ...row.body };
  }

  /** Learns from the whole fleet, now and then every day; `onProblem` hears of a failure, and the last knowledge stays. */
  async keepLearning(onProblem: (error: unknown) => void): Promise<void> {
    const { signal } = this.ended;
    while (!signal.aborted) {
      await this.learn().catch(onProblem);
      await setTimeout(LEARN_EVERY_MS, undefined, { ref: false, signal }).catch(() => undefined);
    }
  }

  /** Sums up every vehicle and learns from all; one at a time. A first time is done twice, to use at once what it taught. */
  learn(): Promise<void> {
    this.learning ??= this.learnOnce().finally(() => (this.learning = null));
    return this.learning;
  }

  private async learnOnce(): Promise<void> {
    const first = this.knowledge.learnedAt === null;
    await this.learnRound();
    if (first) await this.learnRound();
  }

  private async learnRound(): Promise<void> {
    const now = this.clock().toISOString();
    const answer = await recomputeFleet(this.engine, this.knowledge, await rulesOfToday(this.engine), now);
    for (const board of answer.boards) this.boards.set(board.vehicleId, board);
    this.scores = answer.scores;
    this.knowledge = answer.knowledge;
    await this.engine.query(
      `insert into fleet_knowledge (learned_at, body) values ($1::timestamptz, $2::jsonb) on conflict (learned_at) do update set body = excluded.body`,
      [now, JSON.stringify(answer.knowledge)],
    );
  }

  /** Something else is to be told of a vehicle from now on: it is summed up anew when somebody asks. */
  vehicleChanged(vehicleId: string): void {
    this.boards.delete(vehicleId);
  }

  /** Sums one vehicle up. */
  async sumUp(vehicleId: string): Promise<void> {
    const page = await readVehiclePage(this.engine, vehicleId);
    if (page) this.boards.set(vehicleId, sumVehicle(page, await rulesOfToday(this.engine), this.knowledge).board);
  }

  /** The forecasts that are shown of a vehicle once this visit is signed: they go on record with the signature. */
  async forecastsAt(
    tx: Tx,
    vehicleId: string,
    inspectionId: string,
    signedAt: string,
  ): Promise<readonly StoredForecast[]> {
    const life = await readVehiclePage(tx, vehicleId, inspectionId);
    if (!life) return [];
    const page = { ...life, entries: toldBy(life.entries, signedAt) };
    const { forecasts } = sumVehicle(page, await rulesOfToday(tx), this.knowledge);
    return forecasts().filter((forecast) => forecast.inspectionId === inspectionId);
  }

  /** Every vehicle's sum; those that changed are summed up now. */
  async board(): Promise<FleetBoard> {
    const ids = await this.engine.query<{ id: string }>('select id from vehicle');
    for (const { id } of ids) if (!this.boards.has(id)) await this.sumUp(id);
    const vehicles = [...this.boards.values()].sort((a, b) =>
      a.fleetCode.localeCompare(b.fleetCode, 'en', { numeric: true }),
    );
    return { learnedAt: this.knowledge.learnedAt, vehicles };
  }

  /** How forecasts and readings held; what tells of persons is for a lead. */
  async scorecard(role: Person['role']): Promise<Scorecard> {
    const lead = role === 'lead';
    return {
      ...this.scores,
      byKind: [...this.scores.byKind],
      byUse: [...this.scores.byUse],
      byInspector: lead ? [...this.scores.byInspector] : [],
      calibrated: this.knowledge.widths,
      repeats: await readRepeats(this.engine),
      hands: lead ? (await readHands(this.engine)).map((one) => ({ ...one, names: [...one.names] })) : [],
    };
  }

  async close(): Promise<void> {
    this.ended.abort();
    // What is being learned needs the database to the end; a failure was told where it was begun.
    await this.learning?.catch(() => undefined);
  }
}
