import type { ChangeNote } from '@weskopos/core';
import { words } from './en';
import { amount, day, placeWords, type Seats } from './show';

/** Names a change among those of one vehicle. */
export const changeKey = (change: ChangeNote): string =>
  `${change.kind}${change.kind === 'use' ? change.what : ''}${change.since}`;

/** Nothing is ever quite sure, % . */
const MOST_SURE = 99;

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
  const where =
    change.places.length > 2 ? 'all round' : change.places.map((place) => placeWords(place, axles)).join(' and ');
  const why =
    change.places.length > 2
      ? 'Another driver, route or load?'
      : words.oneWheelWears[change.measure === 'tread' ? 'tread' : 'lining'];
  return `${words.wearOf[change.measure === 'tread' ? 'tread' : 'lining']} ${where} wears about ${change.factor.toFixed(1)} times as fast${since} (${sure}). ${why}`;
}
