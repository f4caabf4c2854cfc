import type { Life, Visit } from '@weskopos/contract';
import {
  countedVisits,
  isOpen,
  isSigned,
  lifeStanding,
  newestRulebook,
  rulesOf,
  type FleetKnowledge,
  type Rulebook,
} from '@weskopos/core';
import { stickerOf } from '@weskopos/core/jobs/stickerOf';
import { outlookOf, vehicleBoard } from '@weskopos/core/outlook';
import { meterLog, meterStand } from '@weskopos/core/today';
import { rulesFor } from '../../sync/workshop';

/** What a life comes to: by its signed visits, under each one's own rules, and what runs out and falls due by today's. */
export function sheetOf(life: Life, rulebooks: readonly Rulebook[], fleet: FleetKnowledge, now: string) {
  const { vehicle, visits, entries } = life;
  const signed = visits.filter(({ inspection }) => isSigned(inspection));
  const rulesOfVisit = (inspection: Visit['inspection']) => rulesFor(rulebooks, inspection);
  const today = rulesOf(newestRulebook(rulebooks), 'full');
  const outlook = outlookOf(vehicle, signed, entries, today, fleet);
  const moments = signed.map(({ inspection }) => inspection);
  return {
    signed,
    last: signed.at(-1),
    open: visits.findLast(({ inspection }) => isOpen(inspection)),
    rulesOfVisit,
    standing: lifeStanding(life, rulesOfVisit),
    outlook,
    board: vehicleBoard(vehicle, moments, outlook, fleet),
    sticker: stickerOf(vehicle, countedVisits(visits), entries, today.house),
    stand: meterStand(vehicle, meterLog(vehicle, visits, entries), fleet.use, now),
    today,
  };
}

/** What every page of a vehicle is told from. */
export type Sheet = ReturnType<typeof sheetOf>;
