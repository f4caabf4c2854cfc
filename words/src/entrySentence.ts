import { isChangeOfSets, type LifeEntry, type Vehicle } from '@weskopos/core';
import { words } from './en';
import { works as say } from './en/pages/works';
import { amount, day, jobWords, meterWords, placeWords, pointName } from './show';
import { stepWords, taskWords } from './workWords';

/** One entry of a life as a line of its log. @param entries the whole life: what was said of a work names it */
export function entrySentence(entry: LifeEntry, vehicle: Vehicle, entries: readonly LifeEntry[]): string {
  const { axles, meterUnit: unit } = vehicle;
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
    case 'work':
      return say.work(taskWords(entry.task, vehicle));
    case 'work-cost': {
      const work = entries.find(({ id }) => id === entry.refers);
      return work?.kind === 'work' ? say.told(taskWords(work.task, vehicle), say.costSaid) : say.costSaid;
    }
    case 'work-step': {
      const work = entries.find(({ id }) => id === entry.refers);
      const told = stepWords(entry);
      return work?.kind === 'work' ? say.told(taskWords(work.task, vehicle), told) : told;
    }
    case 'undo':
      return 'Taken back';
  }
}
