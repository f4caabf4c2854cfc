import { notToDrive, pointKey, type GradedPoint, type Verdict } from '@weskopos/core';
import { figuresOf } from '../figuresOf';
import { amount, day, dayAndTime, inSentence, meterWords, pointShort, pointWords, templateWords } from '../show';
import { told } from '../tongue';
import { line, lines } from './blocks';
import type { PaperBlock } from './paper';
import type { Report, ReportGiven } from './reportGiven';

/** When, by whom, how it stood, what the keeper said, and whether it is signed. */
export function headOf({ report, visit }: ReportGiven): PaperBlock[] {
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

/** The verdict in a sentence, with what it counts and what was not seen. */
export function verdictOf({ grade, counts }: Verdict, at: string): PaperBlock {
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

/** That it should not be driven, by what; nothing where nothing of that kind failed. */
export function warningOf({ report: { verdict, vehicle } }: ReportGiven): PaperBlock[] {
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

/** What is said otherwise since the visit was signed: as signed, as it is told now, who, when and why. */
export function amendmentsOf({ report: { asSigned, verdict, vehicle }, visit }: ReportGiven): PaperBlock[] {
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

/** The verdict by system: each the worst of its own points, with what was not seen beside it. */
export function systemsOf({ systems }: Verdict): PaperBlock {
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

/** What earlier visits found and this one did not settle: a short visit hides none of it. */
export const stillOpenOf = ({ stillOpen, vehicle }: Report): PaperBlock[] =>
  lines(
    told.paper.stillOpen,
    stillOpen.map(({ point, place, grade, at }) =>
      line(told.paper.openSince(pointWords(point, place, vehicle), inSentence(told.grade[grade]), day(at))),
    ),
  );
