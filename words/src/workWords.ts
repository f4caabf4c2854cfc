import type { Grade, LifeEntryOf, Place, PointCode, Urgency, Vehicle, WorkReason, WorkTask } from '@weskopos/core';
import type { Opening } from '@weskopos/core/works/groupWorks';
import { works as say } from './en/pages/works';
import { capital, day, inSentence, jobWords, meterWords, placeWords, pointShort, pointWords } from './show';
import { told } from './tongue';

/** What is done, whatever vehicle it is at: `Brake pads`. @param code of anything but what is put right at a point */
export function workName({ code, name }: Pick<WorkTask, 'code' | 'name'>): string {
  if (code === 'put-right') return '';
  return code === 'pads' || code === 'shoes' || code === 'discs'
    ? told.worksTold.part[code]
    : capital(jobWords({ code, name }));
}

/** What is done and where: `Brake pads, front axle`. */
export function taskWords({ code, point, name, place }: WorkTask, vehicle: Vehicle): string {
  if (code === 'put-right')
    return point === null ? '' : told.worksTold.putRight(capital(pointWords(point, place, vehicle)));
  return [workName({ code, name }), placeWords(place, vehicle)].filter(Boolean).join(', ');
}

/** How soon, in a few words. */
export function urgencyWords(urgency: Urgency, from: string | null, to: string | null): string {
  if (urgency !== 'by') return told.worksTold.urgency[urgency];
  if (from === null) return told.worksTold.urgency['next-visit'];
  return to === null ? told.worksTold.by(day(from)) : told.worksTold.between(day(from), day(to));
}

/** How a reason is told: to the workshop in its own short words, to a keeper in plain ones. */
interface Telling {
  readonly point: (point: PointCode, place: Place, vehicle: Vehicle) => string;
  readonly grade: (grade: 'advisory' | 'fail') => string;
}
const TO_WORKSHOP: Telling = { point: pointShort, grade: (grade) => inSentence(told.grade[grade]) };
const TO_KEEPER: Telling = { point: pointWords, grade: (grade) => told.worksTold.plainGrade[grade] };

function reasonSaid(reason: WorkReason, vehicle: Vehicle, { point, grade }: Telling): string {
  switch (reason.kind) {
    case 'finding':
      return told.worksTold.found(point(reason.point, reason.place, vehicle), grade(reason.grade), day(reason.at));
    case 'runs-out':
      return told.worksTold.mayRunOut(
        `${point(reason.point, reason.place, vehicle)} ${told.spot[reason.spot]}`.trim(),
        day(reason.from),
      );
    case 'due':
      return told.worksTold.due(day(reason.on));
    case 'bolts':
      return told.worksTold.boltsAgain(meterWords(reason.fromKm, 'km'), meterWords(reason.toKm, 'km'));
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
  const some = reasons.slice(0, MOST_REASONS).map((one) => reasonSaid(one, vehicle, telling));
  const left = reasons.length - some.length;
  return capital([...some, ...(left > 0 ? [told.worksTold.andMore(left)] : [])].join(' · '));
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
  const what = on === null ? told.worksTold.step[step] : told.worksTold.plannedFor(day(on));
  return [keeper ? told.worksTold.by_(capital(what), keeper) : capital(what), said ? `“${said}”` : '']
    .filter(Boolean)
    .join(': ');
}
