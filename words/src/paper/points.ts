import type { Visit } from '@weskopos/contract';
import { cataloguePoint, isWrong, type Finding, type GradedPoint, type QuantityRow } from '@weskopos/core';
import { photosBefore } from '../photosBefore';
import { readingsWords } from '../readingsWords';
import { gradeSentence, reasonSource } from '../reasonSentence';
import { day, pointWords, stopWords } from '../show';
import { told } from '../tongue';
import { rows } from './blocks';
import type { PaperBlock, PaperPhotos, PaperRow } from './paper';
import type { ReportGiven } from './reportGiven';

/** Pictures of the last visit beside today's. */
const MOST_BEFORE = 2;

/** Photos of a finding, with those of the last visit that has some of the same point beside them. */
function photosOf(finding: Finding | undefined, name: string, earlier: readonly Visit[]): PaperPhotos[] {
  const { paper } = told;
  const labelled = (all: Finding['photos']) =>
    all.map((one, at) => ({ ...one, of: name, label: paper.photo(name, at + 1) }));
  if (!finding || finding.photos.length === 0) return [];
  const now = { when: paper.now, photos: labelled(finding.photos) };
  const then = photosBefore(finding, earlier);
  if (then) return [now, { when: paper.before(day(then.at)), photos: labelled(then.photos).slice(0, MOST_BEFORE) }];
  return [now];
}

/** One point: its grade, why, what was read, its pictures. */
export function rowOf(
  graded: GradedPoint & Partial<Pick<QuantityRow, 'foundAt'>>,
  { report, earlier, wording }: ReportGiven,
): PaperRow {
  const { paper } = told;
  const { point, place, result, finding } = graded;
  const name = pointWords(point, place, report.vehicle);
  const value = readingsWords(graded);
  const found = graded.foundAt ? readingsWords(graded.foundAt) : value;
  const [deciding] = result.reasons.filter((reason) => reason.grade === result.computed);
  const plain = wording === 'keeper' && isWrong(result.grade) ? paper.plainSystem[cataloguePoint(point).system] : '';
  return {
    key: graded.key,
    grade: result.grade,
    carried: result.carried !== null,
    name,
    word: [
      told.grade[result.grade],
      result.corrected ? `, ${told.corrected}` : '',
      result.watch ? `, ${told.watch}` : '',
      result.carried ? paper.carriedFrom(day(result.carried.at)) : '',
    ].join(''),
    why: [plain, gradeSentence(result), finding?.note ? paper.note(finding.note) : ''].filter(Boolean).join(' '),
    source: deciding && isWrong(result.grade) ? (reasonSource(deciding) ?? '') : '',
    value: found === value ? value : paper.foundAndLeft(found, value),
    photos: photosOf(finding, name, earlier),
    graded,
  };
}

/** Stop by stop; the pictures of what is wrong stand above already. */
export function everyPointOf(given: ReportGiven): PaperBlock[] {
  const { verdict, vehicle } = given.report;
  const stops = [...new Set(verdict.rows.map(({ stop }) => stop))];
  return [
    { kind: 'heading', text: told.paper.everyPoint },
    ...stops.flatMap((stop) =>
      rows(
        stopWords(stop, vehicle),
        3,
        verdict.rows
          .filter((point) => point.stop === stop)
          .map((point) => {
            const row = rowOf(point, given);
            const isTold = isWrong(point.result.grade) || point.result.watch;
            return { ...row, source: '', photos: isTold ? [] : row.photos.slice(0, 1) };
          }),
      ),
    ),
  ];
}

/** What was measured, short: for who wants the figures, not the trade. */
export function measuredOf({ report: { verdict, vehicle } }: ReportGiven): PaperBlock[] {
  const { paper } = told;
  const measured = verdict.rows.flatMap((point) => {
    const value = readingsWords(point);
    return value ? [[pointWords(point.point, point.place, vehicle), value, told.grade[point.result.grade]]] : [];
  });
  if (measured.length === 0) return [];
  return [
    { kind: 'table', title: paper.whatWasMeasured, head: [paper.point, paper.read, paper.result], rows: measured },
  ];
}
