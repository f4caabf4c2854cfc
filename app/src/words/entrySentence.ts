import { isChangeOfSets, type LifeEntry, type Vehicle } from '@weskopos/core';
import { words } from './en';
import { amount, day, jobWords, meterWords, placeWords, pointName } from './show';

/** One entry of a life as a line of its log. */
export function entrySentence(
  entry: LifeEntry,
  { axles, meterUnit: unit }: Pick<Vehicle, 'axles' | 'meterUnit'>,
): string {
  const n = axles.length;
  switch (entry.kind) {
    case 'fuel':
      return `Fuel ${amount('volume', entry.litres)}${entry.full ? ', full' : ', partial'}${entry.price === null ? '' : `, ${entry.price.toFixed(2)} paid`}`;
    case 'top-up':
      return `${words.loggedFluid[entry.fluid]} topped up, ${amount('volume', entry.litres)}`;
    case 'meter':
      return 'Meter read';
    case 'job':
      return [
        `Done: ${jobWords(entry.job)}${entry.place ? `, ${placeWords(entry.place, n)}` : ''}`,
        entry.litres === null ? '' : amount('volume', entry.litres),
        entry.numbers,
        entry.paper ? `by ${entry.paper}` : '',
      ]
        .filter(Boolean)
        .join(', ');
    case 'not-known':
      return `Not known when done: ${jobWords(entry.job)}${entry.paper ? `, asked: ${entry.paper}` : ''}`;
    case 'fit':
      return `New: ${words.partKind[entry.what].toLowerCase()}${entry.place ? ` ${placeWords(entry.place, n)}` : ''}${entry.note ? `, ${entry.note}` : ''}`;
    case 'rotate':
      if (isChangeOfSets(entry.moves)) return 'Tyre sets changed: the other set is on';
      return `Tyres rotated: ${entry.moves.map(({ from, to }) => `${placeWords(from, n)} to ${placeWords(to, n)}`).join(', ')}`;
    case 'misread':
      return `Called a misread: ${pointName(entry.point)} ${placeWords(entry.place, n)}`;
    case 'plan':
      return `Coming trip: ${meterWords(entry.distance, unit)} over what is usual, by ${day(entry.until)}`;
    case 'undo':
      return 'Taken back';
  }
}
