import type { Visit, Wording } from '@weskopos/contract';
import {
  HOUSE_QUESTIONS,
  cataloguePoint,
  isWrong,
  looseEnds,
  notToDrive,
  pointKey,
  worstFirst,
  type EndProof,
  type Finding,
  type GradedPoint,
  type PriceList,
  type QuantityRow,
  type Verdict,
  type composeReport,
} from '@weskopos/core';
import { DECKS, isOnDeck } from '@weskopos/core/decks/deckNames';
import { drawDeck } from '@weskopos/core/decks/drawDeck';
import type { NextDue } from '@weskopos/core/jobs/stickerOf';
import { costOf } from '@weskopos/core/prices/priceList';
import { isClosed, type Work } from '@weskopos/core/works/worksOf';
import { endTitle } from '../endTitle';
import { figuresOf } from '../figuresOf';
import { forecastSentence, lookAgainSentence } from '../forecastSentence';
import { gradeSentence, reasonSource } from '../reasonSentence';
import { costWords, money } from '../priceWords';
import { photosBefore } from '../photosBefore';
import { readingsWords } from '../readingsWords';
import {
  amount,
  capital,
  day,
  dayAndTime,
  figure,
  houseSchool,
  inSentence,
  jobWords,
  meterWords,
  pointShort,
  pointWords,
  stopWords,
  templateWords,
} from '../show';
import { told } from '../tongue';
import { visitCode } from '../visitCode';
import { gradeOfUrgency, reasonWords, stepWords, taskWords, urgencyWords } from '../workWords';
import type { Paper, PaperBlock, PaperLine, PaperPhotos, PaperRow } from './paper';

type Report = ReturnType<typeof composeReport>;

/** What a report on paper is made of. */
export interface ReportGiven {
  readonly report: Report;
  readonly visit: Visit;
  /** Signed visits before it. */
  readonly earlier: readonly Visit[];
  /** No visit of the vehicle came later: what is to be done now is told with it. */
  readonly isNewest: boolean;
  /** Works of the vehicle. */
  readonly works: readonly Work[];
  /** What falls due, soonest first. */
  readonly dues: readonly NextDue[];
  readonly wording: Wording;
  /** What the workshop asks; null where it has no list. */
  readonly prices: PriceList | null;
}

/** Of what runs out, only the soonest are worth the keeper's time. */
const MOST_RUN_OUT = 5;
/** Of what falls due. */
const MOST_DUE = 6;
/** Pictures of one thing beside each other. */
const MOST_BEFORE = 2;

const line = (text: string, weight: PaperLine['weight'] = 'plain'): PaperLine => ({ text, weight });
const lines = (title: string | null, all: readonly PaperLine[]): PaperBlock[] => {
  const some = all.filter(({ text }) => text !== '');
  return some.length > 0 ? [{ kind: 'lines', title, lines: some }] : [];
};
const rows = (title: string, level: 2 | 3, all: readonly PaperRow[]): PaperBlock[] =>
  all.length > 0 ? [{ kind: 'rows', title, level, rows: all }] : [];

/** A report in words, in the language told in now. */
export function reportPaper(given: ReportGiven): Paper {
  const { report, visit, wording } = given;
  const { vehicle, inspection, verdict } = report;
  const { paper } = told;
  const toKeeper = wording === 'keeper';
  const wrong = worstFirst(verdict.rows);
  return {
    title: paper.title(vehicle.fleetCode),
    over: [vehicle.make, vehicle.model, vehicle.year, vehicle.plate].filter(Boolean).join(' · '),
    locale: told.said.locale,
    blocks: [
      ...headOf(given),
      verdictOf(verdict, inspection.startedAt),
      ...warningOf(given),
      ...amendmentsOf(given),
      ...lines(
        paper.stillOpen,
        report.stillOpen.map(({ point, place, grade, at }) =>
          line(paper.openSince(pointWords(point, place, vehicle), inSentence(told.grade[grade]), day(at))),
        ),
      ),
      systemsOf(verdict),
      ...rows(
        paper.worstFirst,
        2,
        wrong.map((point) => rowOf(point, given)),
      ),
      ...rows(paper.works, 2, worksOfPaper(given)),
      ...rows(
        paper.notSeen,
        2,
        report.notSeen.map((point) => rowOf(point, given)),
      ),
      ...runOutOf(report),
      ...nextLookOf(given),
      decksOf(report),
      ...(toKeeper ? measuredOf(given) : everyPointOf(given)),
      ...(inspection.corners.length > 0
        ? [
            {
              kind: 'photos' as const,
              title: paper.asItCame,
              photos: inspection.corners.map((id) => ({
                id,
                caption: '',
                marks: [],
                of: paper.corner,
                label: paper.corner,
              })),
            },
          ]
        : []),
      ...endsOf(visit, report, toKeeper),
      ...rulesOf(report, toKeeper),
      ...sealOf(given),
    ],
  };
}

function headOf({ report, visit }: ReportGiven): PaperBlock[] {
  const { paper } = told;
  const { inspection, vehicle } = report;
  const stood =
    inspection.broughtFrom === null
      ? [
          inSentence(told.state[inspection.state]),
          inspection.ambientC === null ? '' : amount('temperature', inspection.ambientC),
          inSentence(told.load[inspection.load]),
          templateWords(report.rules.template),
        ]
      : [];
  return lines(null, [
    line(`${dayAndTime(inspection.startedAt)}, ${visit.inspector}`),
    line([meterWords(inspection.meter, vehicle.meterUnit), ...stood].filter(Boolean).join(' · ')),
    line(inspection.broughtFrom === null ? '' : paper.broughtFrom(inspection.broughtFrom), 'strong'),
    line(inspection.meterAnswer ? paper.meterAnswer(inSentence(told.meterAnswer[inspection.meterAnswer])) : '', 'soft'),
    line(inspection.complaint ? paper.keeperSays(inspection.complaint) : ''),
    line(
      inspection.signedAt
        ? paper.signedBy(visit.signedBy ?? visit.inspector, dayAndTime(inspection.signedAt))
        : paper.draft,
      'strong',
    ),
  ]);
}

function verdictOf({ grade, counts }: Verdict, at: string): PaperBlock {
  const { paper } = told;
  const unseen = counts['not-seen'];
  return {
    kind: 'verdict',
    grade,
    title: `${told.grade[grade]}, ${day(at)}`,
    sentence: paper.verdict[grade],
    counts: paper.counts(counts.fail, counts.advisory, counts.pass, counts.recorded),
    unseen: unseen === 0 ? line(paper.everythingSeen, 'soft') : line(paper.unseen(unseen), 'strong'),
  };
}

function warningOf({ report: { verdict, vehicle } }: ReportGiven): PaperBlock[] {
  const stops = notToDrive(verdict.rows);
  if (stops.length === 0) return [];
  return [
    {
      kind: 'warning',
      text: told.paper.notToDrive(stops.map(({ point, place }) => pointShort(point, place, vehicle)).join(', ')),
    },
  ];
}

const pointTold = (point: GradedPoint | undefined) =>
  point ? [figuresOf(point), inSentence(told.grade[point.result.grade])].filter(Boolean).join(', ') : '';

function amendmentsOf({ report: { asSigned, verdict, vehicle }, visit }: ReportGiven): PaperBlock[] {
  const { paper } = told;
  const at = (all: Verdict | null, key: string) => all?.points.find((point) => point.key === key);
  return lines(paper.amended, [
    ...(visit.amendments.length > 0 && asSigned
      ? [line(paper.signedAs(inSentence(told.grade[asSigned.grade]), inSentence(told.grade[verdict.grade])))]
      : []),
    ...visit.amendments.flatMap((one) => {
      const finding = visit.findings.find(({ id }) => id === one.findingId);
      if (!finding) return [];
      const key = pointKey(finding.point, finding.place);
      const name = pointWords(finding.point, finding.place, vehicle);
      return [
        line(name, 'strong'),
        line(paper.wasNow(pointTold(at(asSigned, key)), pointTold(at(verdict, key)))),
        line(
          `${paper.amendedBy(one.by, dayAndTime(one.at), one.why)}${one.points === null ? ` ${paper.notYetSent}` : ''}`,
          'soft',
        ),
      ];
    }),
  ]);
}

function systemsOf({ systems }: Verdict): PaperBlock {
  return {
    kind: 'systems',
    title: told.paper.bySystem,
    cells: systems.map(({ system, grade, counts }) => ({
      key: system,
      grade,
      name: told.system[system],
      word: told.grade[grade],
      rest: counts['not-seen'] > 0 && grade !== 'not-seen' ? told.paper.unseenToo(counts['not-seen']) : '',
    })),
  };
}

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

function rowOf(
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

/**
 * Works that are not closed, as they stand, with what was last said of each: those that grew from this visit; with the newest
 * visit all of them.
 */
function worksOfPaper({ works, isNewest, report: { vehicle, inspection }, wording, prices }: ReportGiven): PaperRow[] {
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

function runOutOf({ runOut, vehicle }: Report): PaperBlock[] {
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

function nextLookOf({ dues, report: { vehicle } }: ReportGiven): PaperBlock[] {
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

function decksOf({ vehicle, verdict }: Report): PaperBlock {
  return {
    kind: 'decks',
    title: told.paper.decks,
    decks: DECKS.map((deck) => {
      const here = verdict.points.filter((point) => isOnDeck(deck, point));
      const wrong = worstFirst(here).filter(({ result }) => isWrong(result.grade));
      const name = ({ point, place }: GradedPoint) => pointShort(point, place, vehicle);
      const list = wrong.map((point) => `${name(point)} ${inSentence(told.grade[point.result.grade])}`);
      return {
        deck,
        name: told.deck[deck] ?? deck,
        drawing: drawDeck(deck, vehicle, here, { name, figure }),
        alt: `${told.deck[deck] ?? deck}: ${list.join(', ') || '–'}`,
      };
    }),
  };
}

/** Stop by stop; the pictures of what is wrong stand above already. */
function everyPointOf(given: ReportGiven): PaperBlock[] {
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
function measuredOf({ report: { verdict, vehicle } }: ReportGiven): PaperBlock[] {
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

function endsOf(visit: Visit, { vehicle, inspection }: Report, toKeeper: boolean): PaperBlock[] {
  const { paper } = told;
  const over = inspection.signedOver === null ? '' : paper.signedOver(inspection.signedOver);
  const ends = toKeeper ? [] : looseEnds(visit.acts);
  return lines(paper.opened, [
    ...ends.map((end) =>
      line(`${endTitle(end, vehicle)}: ${end.closed ? closedWords(end.closed.proof) : paper.leftOpen}.`),
    ),
    line(over, 'strong'),
  ]);
}

function closedWords(proof: EndProof): string {
  const { closed } = told.paper;
  const said = [
    proof.torqueNm !== null && amount('torque', proof.torqueNm),
    proof.litres !== null && amount('volume', proof.litres),
    proof.level !== null && closed.level(amount('level', proof.level)),
    proof.fasteners !== null && closed.fasteners(proof.fasteners),
    proof.washer && closed.washer(proof.washer),
    proof.oldSealSeen && closed.oldSealSeen,
    proof.onGround && closed.onGround,
    proof.angleDone && closed.angleDone,
    proof.renewed && closed.renewed,
    proof.primed && closed.primed,
    proof.debris && closed.onMagnet[proof.debris],
    proof.marked && closed.marked,
    proof.partNumber && closed.partIn(proof.partNumber),
    ...proof.kept.map((code) => closed.doubt[code]),
  ].filter(Boolean);
  return [closed.closed, ...said].join(', ');
}

function rulesOf({ rules: { sheet, house, version } }: Report, toKeeper: boolean): PaperBlock[] {
  const schools = HOUSE_QUESTIONS.map(
    (question) => `${inSentence(told.house[question])}: ${houseSchool(house, question)}`,
  );
  const rules = told.paper.rules(
    sheet.code,
    sheet.version,
    version,
    schools.join('; '),
    amount('freeze', house.designLowC),
  );
  return [
    ...(toKeeper ? [] : [{ kind: 'small' as const, text: rules }]),
    { kind: 'small', text: [told.paper.caution, toKeeper ? told.worksTold.caution : ''].filter(Boolean).join(' ') },
  ];
}

function sealOf({ report: { vehicle, verdict }, visit, dues }: ReportGiven): PaperBlock[] {
  const { paper } = told;
  if (!visit.seal) return [];
  const { hash, key, value } = visit.seal;
  return [
    {
      kind: 'code',
      title: paper.seal,
      lines: [line(paper.sealTold(key), 'soft'), line(paper.hash(hash), 'soft'), line(paper.value(value), 'soft')],
      code: visitCode(vehicle, visit, verdict, dues),
      label: paper.code,
      help: paper.codeHelp,
    },
  ];
}
