import type { Life, Operation } from '@weskopos/contract';
import { readingValue, type Finding } from '@weskopos/core';
import type { RefusedOperation } from '../sync/deviceStore';
import { words } from './en';
import { amount, capital, day, pointWords } from './show';

/** What was not taken, with its point and value, and why. `lives` are those known on this device. */
export function refusedSentence({ operation, refusal }: RefusedOperation, lives: readonly Life[]): string {
  const why = refusal === 'invalid' ? words.refused.unreadable : words.refusal[refusal];
  return `${capital(whatOf(operation, lives))}: ${words.refused.notTaken}, ${why.replace(/\.$/, '')}.`;
}

function whatOf(operation: Operation, lives: readonly Life[]): string {
  switch (operation.kind) {
    case 'finding.put':
      return findingOf(operation.body, lives);
    case 'vehicle.put':
      return `${words.refused.sheet} ${operation.body.fleetCode}`;
    case 'inspection.start':
      return `${words.refused.visit} ${day(operation.body.startedAt)}`;
    case 'inspection.sign':
      return words.refused.signature;
    case 'amendment.put':
      return `${words.refused.amendment}, ${findingOf(operation.body.finding, lives)}`;
    case 'inspection.void':
    case 'inspection.restore':
      return words.refused.voiding;
    case 'inspection.correct':
      return words.refused.correction;
    case 'act.put':
      return `${words.refused.act} ${day(operation.body.at)}`;
    case 'entry.put':
      return `${words.refused.entry} ${day(operation.body.at)}`;
    case 'rulebook.put':
      return words.refused.rules;
  }
}

function findingOf(
  { inspectionId, point, place, readings, words: seen, note }: Finding,
  lives: readonly Life[],
): string {
  const life = lives.find(({ visits }) => visits.some(({ inspection }) => inspection.id === inspectionId));
  const values = readings.map((reading) => amount(reading.measure, readingValue(reading)));
  const said = [...values, ...seen.map((word) => words.word[word]), ...(note ? [`“${note}”`] : [])];
  const where = pointWords(point, place, life?.vehicle ?? 2);
  const vehicle = life ? `${life.vehicle.fleetCode}, ` : '';
  return `${vehicle}${where}${said.length > 0 ? `, ${said.join(', ')}` : ''}`;
}
