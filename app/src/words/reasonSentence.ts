import { PLACARD_TEMPERATURE_C, type PointGrade, type Reason } from '@weskopos/core';
import { words } from './en';
import { amount, capital, figure } from './show';

/** One plain sentence of why, from the reason's data. */
export function reasonSentence(reason: Reason): string {
  switch (reason.rule) {
    case 'limit':
      return limitSentence(reason);
    case 'leak': {
      const reaches = reason.reaches === 'nothing' ? '' : `, and it reaches ${words.reach[reason.reaches]}`;
      const watch = reason.watch ? '. Wipe it and look again next time' : '';
      return `${capital(words.fluid[reason.fluid])}, ${words.stage[reason.stage].toLowerCase()}${reaches}${watch}.`;
    }
    case 'word':
      return `${capital(words.word[reason.word])}.`;
    case 'sound':
      return 'Looked at, nothing wrong.';
    case 'not-looked-at':
      return 'Not looked at yet.';
    case 'not-reached':
      return `Not reached${reason.why ? `: ${words.accessReason[reason.why]}` : ''}.`;
    case 'partly-seen':
      return `Only partly seen${reason.why ? `: ${words.accessReason[reason.why]}` : ''}.`;
    case 'reading-missing':
      return reason.spots.length === 1 && reason.spots[0] === 'whole'
        ? 'No reading yet.'
        : `No reading yet: ${reason.spots.map((spot) => words.spot[spot]).join(', ')}.`;
    case 'no-limit':
      return {
        'no-row': 'Recorded; the limit sheet has no limit for it.',
        'no-placard': 'Recorded; the spec sheet has no placard pressure to judge by.',
        'tyre-not-cold': 'Recorded; the tyre was not cold, so it is not judged.',
        'no-temperature': 'Recorded; without the ambient temperature it is not judged.',
      }[reason.why];
  }
}

function limitSentence(reason: Extract<Reason, { rule: 'limit' }>): string {
  const { measure, value, threshold, kind } = reason;
  const crossed = reason.grade !== 'pass';
  const spot = words.spot[reason.spot];
  const subject = capital(`${spot ? `${spot} ` : ''}${amount(measure, value)}`);
  const edge = `${threshold.grade} ${threshold.inclusive ? 'from' : threshold.bad === 'below' ? 'under' : 'over'}`;
  switch (kind) {
    case 'value':
      return crossed
        ? `${subject} is ${threshold.bad === 'below' ? 'under' : threshold.inclusive ? 'at or over' : 'over'} ${figure(measure, threshold.value)} (${words.basis[threshold.basis]}).`
        : `${subject}; ${edge} ${figure(measure, threshold.value)}.`;
    case 'spread':
      return `${amount(measure, value)} between the most and the least worn place.`;
    case 'across':
      return `${amount(measure, value)} different from the other side.`;
    case 'inner-outer':
      return `${amount(measure, value)} between inner and outer pad.`;
    case 'placard-share': {
      const { atReferenceKpa = 0, placardKpa = 0 } = reason.pressure ?? {};
      const share = Math.round(Math.abs(value) * 100);
      const off = value === 0 ? 'as the placard' : `${share} % ${value < 0 ? 'under' : 'over'} the placard`;
      return `${Math.round(atReferenceKpa)} kPa at ${PLACARD_TEMPERATURE_C} °C, ${off} (${placardKpa}).`;
    }
  }
}

/** The source of the limit behind a reason, for who taps on it. */
export function reasonSource(reason: Reason): string | null {
  if (reason.rule === 'limit') return `${capital(words.basis[reason.threshold.basis])}: ${reason.threshold.source}`;
  if (reason.rule === 'leak' || reason.rule === 'word') return `${capital(words.basis[reason.basis])}: baseline sheet`;
  return null;
}

/** The reasons that decide, as one line: those of the grade, or the first. */
export function gradeSentence({ grade, reasons }: Pick<PointGrade, 'grade' | 'reasons'>): string {
  const deciding = reasons.filter((reason) => reason.grade === grade);
  const rest = reasons.filter((reason) => reason.grade !== grade && reason.grade !== 'pass');
  // A sound tread has three passing places: the nearest to its limit says it all.
  const shown = grade === 'pass' ? [nearest(deciding)] : [...deciding, ...rest];
  return shown.map(reasonSentence).join(' ');
}

function nearest(reasons: readonly Reason[]): Reason {
  const limits = reasons.filter((reason) => reason.rule === 'limit');
  const gap = (reason: Reason) =>
    reason.rule === 'limit' ? Math.abs(reason.value - reason.threshold.value) : Infinity;
  const leak = reasons.find((reason) => reason.rule === 'leak');
  return leak ?? [...limits].sort((a, b) => gap(a) - gap(b))[0] ?? reasons[0] ?? { rule: 'sound', grade: 'pass' };
}
