import type {
  Grade,
  LifeEntryOf,
  Place,
  PointCode,
  Urgency,
  Vehicle,
  WorkReason,
  WorkStepKind,
  WorkTask,
} from '@weskopos/core';
import type { Opening } from '@weskopos/core/works/groupWorks';
import { words } from './en';
import { works as say } from './en/pages/works';
import { capital, day, jobWords, meterWords, placeWords, pointShort, pointWords } from './show';

/** What is done and where: `Brake pads, front axle`. */
export function taskWords({ code, point, name, place }: WorkTask, vehicle: Vehicle): string {
  if (code === 'put-right') return point === null ? '' : say.putRight(capital(pointWords(point, place, vehicle)));
  const what =
    code === 'pads' || code === 'shoes' || code === 'discs' ? say.part[code] : capital(jobWords({ code, name }));
  return [what, placeWords(place, vehicle)].filter(Boolean).join(', ');
}

/** How soon, in a few words. */
export function urgencyWords(urgency: Urgency, from: string | null, to: string | null): string {
  if (urgency !== 'by') return say.urgency[urgency];
  if (from === null) return say.urgency['next-visit'];
  return to === null ? say.by(day(from)) : say.between(day(from), day(to));
}

/** How a reason is told: to the workshop in its own short words, to a keeper in plain ones. */
interface Telling {
  readonly point: (point: PointCode, place: Place, vehicle: Vehicle) => string;
  readonly grade: (grade: 'advisory' | 'fail') => string;
}
const TO_WORKSHOP: Telling = { point: pointShort, grade: (grade) => words.grade[grade].toLowerCase() };
const TO_KEEPER: Telling = { point: pointWords, grade: (grade) => say.plainGrade[grade] };

function reasonSaid(reason: WorkReason, vehicle: Vehicle, { point, grade }: Telling): string {
  switch (reason.kind) {
    case 'finding':
      return say.found(point(reason.point, reason.place, vehicle), grade(reason.grade), day(reason.at));
    case 'runs-out':
      return say.mayRunOut(
        `${point(reason.point, reason.place, vehicle)} ${words.spot[reason.spot]}`.trim(),
        day(reason.from),
      );
    case 'due':
      return say.due(day(reason.on));
    case 'bolts':
      return say.boltsAgain(meterWords(reason.fromKm, 'km'), meterWords(reason.toKm, 'km'));
  }
}

/** Reasons that are told one by one. */
const MOST_REASONS = 2;

/** Why, in one line. */
export function reasonWords(
  reasons: readonly WorkReason[],
  vehicle: Vehicle,
  to: 'workshop' | 'keeper' = 'workshop',
): string {
  const telling = to === 'keeper' ? TO_KEEPER : TO_WORKSHOP;
  const told = reasons.slice(0, MOST_REASONS).map((one) => reasonSaid(one, vehicle, telling));
  const left = reasons.length - told.length;
  return capital([...told, ...(left > 0 ? [say.andMore(left)] : [])].join(' · '));
}

/** What is opened once. */
export function openingWords(opening: Opening, vehicle: Vehicle): string {
  return opening.kind === 'brakes' ? say.brakes(placeWords(String(opening.axle), vehicle)) : say.opening[opening.kind];
}

const GRADE_OF: Readonly<Record<Urgency, Grade>> = {
  'not-driven': 'fail',
  'before-next': 'fail',
  by: 'advisory',
  'next-visit': 'advisory',
  watch: 'recorded',
};
/** How a work is marked: by how soon it is wanted. */
export const gradeOfUrgency = (urgency: Urgency): Grade => GRADE_OF[urgency];

/** One thing said of a work, with who said it. */
export function stepWords({
  step,
  words: said,
  on,
  keeper,
}: Pick<LifeEntryOf<'work-step'>, 'step' | 'words' | 'on' | 'keeper'>): string {
  const told: Readonly<Record<WorkStepKind, string>> = say.step;
  const what = on === null ? told[step] : say.plannedFor(day(on));
  return [keeper ? say.by_(capital(what), keeper) : capital(what), said ? `“${said}”` : ''].filter(Boolean).join(': ');
}
