import { worstFirst } from '@weskopos/core';
import { told } from '../tongue';
import { rows } from './blocks';
import { endsOf, rulesOf, sealOf } from './closing';
import { cornersOf, decksOf } from './drawn';
import type { Paper } from './paper';
import { everyPointOf, measuredOf, rowOf } from './points';
import type { ReportGiven } from './reportGiven';
import { amendmentsOf, headOf, stillOpenOf, systemsOf, verdictOf, warningOf } from './standing';
import { nextLookOf, runOutOf, worksOfPaper } from './whatComes';

/** A report in words, in the language told in now: its parts in the order they are told. */
export function reportPaper(given: ReportGiven): Paper {
  const { report, visit, wording } = given;
  const { vehicle, inspection, verdict } = report;
  const { paper, said } = told;
  const toKeeper = wording === 'keeper';
  const rowsOf = (points: typeof verdict.rows) => points.map((point) => rowOf(point, given));
  return {
    title: paper.title(vehicle.fleetCode),
    over: [vehicle.make, vehicle.model, vehicle.year, vehicle.plate].filter(Boolean).join(' · '),
    locale: said.locale,
    blocks: [
      ...headOf(given),
      verdictOf(verdict, inspection.startedAt),
      ...warningOf(given),
      ...amendmentsOf(given),
      ...stillOpenOf(report),
      systemsOf(verdict),
      ...rows(paper.worstFirst, 2, rowsOf(worstFirst(verdict.rows))),
      ...rows(paper.works, 2, worksOfPaper(given)),
      ...rows(paper.notSeen, 2, rowsOf(verdict.rows.filter(({ result }) => result.grade === 'not-seen'))),
      ...runOutOf(report),
      ...nextLookOf(given),
      decksOf(report),
      ...(toKeeper ? measuredOf(given) : everyPointOf(given)),
      ...cornersOf(report),
      ...endsOf(visit, report, toKeeper),
      ...rulesOf(report, toKeeper),
      ...sealOf(given),
    ],
  };
}
