import type { ChangeNote } from '@weskopos/core';
import { words } from './en';
import { MOST_SURE } from './forecastSentence';
import { amount, day, placeWords, pointName, type Seats } from './show';

/** Names a change among those of one vehicle. */
export const changeKey = (change: ChangeNote): string =>
  `${change.kind}${change.kind === 'use' ? change.what : ''}${change.since}`;

/** What changed, where, since when, and how sure that is. */
export function changeSentence(change: ChangeNote, axles: Seats): string {
  const sure = `${Math.min(MOST_SURE, Math.round(change.sureness * 100))} % sure`;
  const since = change.since ? ` since ${day(change.since)}` : '';
  if (change.kind === 'pressure')
    return `The ${placeWords(change.place, axles)} tyre loses ${amount('pressure', change.kpaPerMonth)} a month more than the others${since} (${sure}): look for a slow puncture.`;
  if (change.kind === 'use') {
    const percent = Math.round(Math.abs(change.factor - 1) * 100);
    return `Uses about ${percent} % ${change.factor > 1 ? 'more' : 'less'} ${change.what}${since} (${sure}). ${change.factor > 1 ? words.usesMore[change.what] : ''}`.trim();
  }
  return `${wearSubject(change, axles)} about ${change.factor.toFixed(1)} times as fast${wearWhere(change)}${since} (${sure}). ${wearReason(change)}`;
}

type WearNote = Extract<ChangeNote, { kind: 'wear' }>;

type WearName = keyof typeof words.wearOf;
const isWearName = (name: string | undefined): name is WearName => name !== undefined && name in words.wearOf;

/** What wears is called by what is read of it: a brake where that is more than one thing. */
function wearName({ measures: [only, ...more] }: WearNote): WearName {
  return more.length === 0 && isWearName(only) ? only : 'brake';
}

function wearSubject(change: WearNote, axles: Seats): string {
  if (change.scope === 'vehicle') return words.allWears;
  if (change.scope === 'kind') return words.kindWears[wearName(change)];
  const where = change.places.map((place) => placeWords(place, axles)).join(' and ');
  // One of a brake's pads is called by its own name, a tyre is a tyre wherever it is read.
  const name = wearName(change) === 'tread' || !change.point ? null : pointName(change.point).toLowerCase();
  return `${name ? `The ${name}` : words.wearOf[wearName(change)]} ${where} wears`;
}

const wearWhere = ({ scope, spot }: WearNote): string =>
  scope === 'spot' && words.spot[spot] ? ` at its ${words.spot[spot]} place` : '';

function wearReason(change: WearNote): string {
  if (change.scope === 'vehicle' || change.scope === 'kind') return words.wearReason.all;
  const tyre = wearName(change) === 'tread';
  if (change.scope === 'spot') return tyre ? words.wearReason.treadSpot : words.wearReason.brakeSpot;
  return tyre ? words.wearReason.tread : words.wearReason.brake;
}
