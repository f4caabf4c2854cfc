import { toDo, type ToDo } from '@weskopos/core/today';
import { addDays } from 'date-fns/addDays';
import type { Sheet } from './sheetOf';

/** What falls due within this is told however soon the vehicle comes again, days. */
const SOON_DAYS = 31;

/** What is to be done at a vehicle before it comes again, most urgent first. @param now ISO 8601 */
export function whatToDo({ standing, sticker, board, outlook, stand }: Sheet, now: string): ToDo[] {
  const soon = addDays(new Date(now), SOON_DAYS).toISOString();
  const until = outlook.nextVisit !== null && outlook.nextVisit > soon ? outlook.nextVisit : soon;
  const { points, boltsAgain } = standing;
  return toDo({ points, boltsAgain, dues: sticker.dues, parts: board.parts, stand }, now, until);
}
