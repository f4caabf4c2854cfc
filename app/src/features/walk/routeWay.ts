import { entryOf, type WalkStep } from '@weskopos/core';
import { words } from '@weskopos/words/en';
import { capital, placeWords, stopWords, type Seats } from '@weskopos/words/show';
import { walk as say } from '@weskopos/words/en/pages/walk';
import type { WalkRoute } from './useRoute';

/** From how much time an order saves it is worth a word, s. */
const WORTH_S = 60;

export const minutesWords = (seconds: number): string => say.minutes(Math.max(1, Math.round(seconds / 60)));

/** What a stop of the route is called: a place of the walk, or what is done to the vehicle. */
export function legWords(id: string, route: WalkRoute, axles: Seats): string {
  const [first] = route.steps.get(id) ?? [];
  if (first) return capital(stopWords(first.stop, axles));
  const wheel = /^wheel\/(.+)\/(off|on)$/.exec(id);
  if (wheel?.[1]) return say.wheelMove(placeWords(wheel[1], axles), wheel[2] === 'off');
  return entryOf<string>(words.routeAct, id) ?? id;
}

/** Where the route goes on from a step. */
export interface RouteNext {
  /** The step to go to; null where something is to be done to the vehicle first. */
  readonly step: WalkStep | null;
  /** The walk's stop it is marked at; null where it stands among the loose ends. */
  readonly stop: string | null;
  readonly name: string;
  /** What the order saves, in words; empty below a minute. */
  readonly saves: string;
}

/** The stop after the one in hand by the route; null where it ends here. */
export function routeNext(route: WalkRoute, current: WalkStep, axles: Seats): RouteNext | null {
  const next = route.legs.find(({ id }) => !route.steps.get(id)?.some((step) => step.id === current.id));
  if (!next) return null;
  const step = route.steps.get(next.id)?.[0] ?? null;
  return {
    step,
    stop: step?.stop ?? null,
    name: legWords(next.id, route, axles),
    saves: route.savedS >= WORTH_S ? minutesWords(route.savedS) : '',
  };
}
