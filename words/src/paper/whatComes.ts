import { costOf } from '@weskopos/core/prices/priceList';
import { isClosed, type Work } from '@weskopos/core/works/worksOf';
import { forecastSentence, lookAgainSentence } from '../forecastSentence';
import { costWords, money } from '../priceWords';
import { capital, day, jobWords, meterWords, pointWords } from '../show';
import { told } from '../tongue';
import { gradeOfUrgency, reasonWords, stepWords, taskWords, urgencyWords } from '../workWords';
import { line, lines } from './blocks';
import type { PaperBlock, PaperRow } from './paper';
import type { Report, ReportGiven } from './reportGiven';

/** Of what runs out, only the soonest are worth the keeper's time. */
const MOST_RUN_OUT = 5;
/** Of what falls due. */
const MOST_DUE = 6;

/**
 * Works that are not closed, as they stand, with what was last said of each: those that grew from this visit; with the newest
 * visit all of them.
 */
export function worksOfPaper({
  works,
  isNewest,
  report: { vehicle, inspection },
  wording,
  prices,
}: ReportGiven): PaperRow[] {
  const grewHere = ({ reasons }: Work) =>
    reasons.some((one) => one.kind === 'finding' && one.inspectionId === inspection.id);
  const known = works.filter((work) => !isClosed(work) && (isNewest || grewHere(work)));
  return known.map((work) => {
    const last = work.steps.at(-1);
    const cost = prices && costOf(work, prices);
    const plain = told.worksTold.plain[work.task.code as keyof typeof told.worksTold.plain];
    return {
      key: work.id,
      grade: gradeOfUrgency(work.urgency),
      carried: false,
      name: taskWords(work.task, vehicle),
      word:
        work.plannedOn === null
          ? capital(told.worksTold.state[work.state])
          : capital(told.worksTold.plannedFor(day(work.plannedOn))),
      why: [
        wording === 'keeper' && plain ? plain : '',
        `${urgencyWords(work.urgency, work.from, work.to)}.`,
        reasonWords(work.reasons, vehicle, wording),
        work.note,
        cost && prices ? costWords(cost, prices.currency) : '',
        last?.keeper ? `${stepWords(last)}.` : '',
      ]
        .filter(Boolean)
        .join(' '),
      source: '',
      value: cost && prices ? money(cost.total, prices.currency) : '',
      // Its pictures stand with its finding.
      photos: [],
      graded: null,
    };
  });
}

/** Where wear ends and when, as ranges; the soonest of it. */
export function runOutOf({ runOut, vehicle }: Report): PaperBlock[] {
  return lines(
    told.paper.runsOutNext,
    runOut
      .filter(({ forecast }) => forecast.status === 'running-out')
      .slice(0, MOST_RUN_OUT)
      .map(({ series, forecast, limit }) =>
        line(
          [
            `${pointWords(series.point, series.place, vehicle, series.spot)}.`,
            forecastSentence(forecast, series.measure, limit, vehicle.meterUnit),
            lookAgainSentence(forecast),
          ]
            .filter(Boolean)
            .join(' '),
        ),
      ),
  );
}

/** What falls due next, by day and meter. */
export function nextLookOf({ dues, report: { vehicle } }: ReportGiven): PaperBlock[] {
  const { paper } = told;
  return lines(
    paper.nextLook,
    dues
      .filter(({ meter, by }) => meter !== null || by !== null)
      .slice(0, MOST_DUE)
      .map(({ job, meter, by }) => {
        const at = meter === null ? '' : meterWords(meter, vehicle.meterUnit);
        const when = by === null ? paper.dueAt(at) : `${paper.dueBy(day(by))}${at ? paper.orAt(at) : ''}`;
        return line(paper.due(capital(jobWords(job)), when));
      }),
  );
}
