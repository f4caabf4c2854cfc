import type { Operation } from '@weskopos/contract';
import { readingValue, type Finding, type Vehicle } from '@weskopos/core';
import type { RefusedOperation } from '../sync/deviceStore';
import { words } from '@weskopos/words/en';
import { amount, capital, day, pointWords } from '@weskopos/words/show';

/** Whose visit it is; undefined where nobody here knows. */
type VehicleOf = (visitId: string) => Vehicle | undefined;

/** What was not taken, with its point and value, and why. */
export function refusedSentence({ operation, refusal }: RefusedOperation, vehicleOf: VehicleOf): string {
  const why = refusal === 'invalid' ? words.refused.unreadable : words.refusal[refusal];
  return `${capital(whatOf(operation, vehicleOf))}: ${words.refused.notTaken}, ${why.replace(/\.$/, '')}.`;
}

function whatOf(operation: Operation, vehicleOf: VehicleOf): string {
  switch (operation.kind) {
    case 'finding.put':
      return findingOf(operation.body, vehicleOf);
    case 'vehicle.put':
      return `${words.refused.sheet} ${operation.body.fleetCode}`;
    case 'inspection.start':
      return `${words.refused.visit} ${day(operation.body.startedAt)}`;
    case 'inspection.sign':
      return words.refused.signature;
    case 'amendment.put':
      return `${words.refused.amendment}, ${findingOf(operation.body.finding, vehicleOf)}`;
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

function findingOf({ inspectionId, point, place, readings, words: seen, note }: Finding, vehicleOf: VehicleOf): string {
  const vehicle = vehicleOf(inspectionId);
  const values = readings.map((reading) => amount(reading.measure, readingValue(reading)));
  const said = [...values, ...seen.map((word) => words.word[word]), ...(note ? [`“${note}”`] : [])];
  const where = pointWords(point, place, vehicle ?? 2);
  return `${vehicle ? `${vehicle.fleetCode}, ` : ''}${where}${said.length > 0 ? `, ${said.join(', ')}` : ''}`;
}
