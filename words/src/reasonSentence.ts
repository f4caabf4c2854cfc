import { MEASURES, PLACARD_TEMPERATURE_C, basisOf, type PointGrade, type Reason } from '@weskopos/core';
import { words } from './en';
import { amount, capital, day, figure, figureIn, houseRules, lampSpotWords } from './show';

/** One plain sentence of why, from the reason's data. */
export function reasonSentence(reason: Reason): string {
  switch (reason.rule) {
    case 'limit':
      return limitSentence(reason);
    case 'undecided': {
      const { measure, value, bound, threshold } = reason;
      return `${capital(words.bound[bound])} ${amount(measure, value)}: whether it is under ${figure(measure, threshold.value)} (${threshold.grade}) a gauge must tell.`;
    }
    case 'leak': {
      const where = reason.place ? `, ${words.leakPlace[reason.place]}` : '';
      const reaches = reason.reaches === 'nothing' ? '' : `, and it reaches ${words.reach[reason.reaches]}`;
      const watch = reason.watch ? '. Wipe it and look again next time' : '';
      return `${capital(words.fluid[reason.fluid])}${where}, ${words.stage[reason.stage].toLowerCase()}${reaches}${watch}.`;
    }
    case 'word':
      return `${capital(words.word[reason.word])}.`;
    case 'glitter':
      return `${capital(words.word[reason.word])}: ${words.glitterWhy[reason.why]}.`;
    case 'count':
      return reason.item === 'all'
        ? `${reason.good} of ${reason.of}.`
        : `${capital(words.lamp[reason.item])}: ${reason.good} of ${reason.of} lit${reason.out ? `, out: ${reason.out.map(lampSpotWords).join(', ')}` : ''}.`;
    case 'code':
      return `Code ${reason.code}, ${words.codeState[reason.state]}${reason.gone ? '; cleared, and it did not come back' : ''}.`;
    case 'ahead': {
      const { measure, value, limit, chance, nextVisit } = reason;
      const spot = words.spot[reason.spot];
      return `${capital(`${spot ? `${spot} ` : ''}${amount(measure, value)}`)} passes today; ${Math.round(chance * 100)} % chance that it is under ${figure(measure, limit)} before the next visit, about ${day(nextVisit)}.`;
    }
    case 'pair':
      return 'The other one of this axle is worn or leaks: both are renewed together.';
    case 'sound':
      return 'Looked at, nothing wrong.';
    case 'not-looked-at':
      return 'Not looked at yet.';
    case 'not-reached':
      return `Not reached${reason.why ? `: ${words.accessReason[reason.why]}` : ''}.`;
    case 'out-of-condition':
      return `Kept, but not judged: it wants ${reason.needs.map((need) => words.need[need]).join(' and ')}. Read it again then.`;
    case 'partly-seen':
      return `Only partly seen${reason.why ? `: ${words.accessReason[reason.why]}` : ''}.`;
    case 'reading-missing': {
      const measures = reason.measures.map((measure) => words.measure[measure].toLowerCase()).join(' or ');
      const spots = reason.spots.map((spot) => words.spot[spot]).filter(Boolean);
      if (spots.length > 0) return `No reading yet: ${spots.join(', ')}.`;
      return reason.measures.length > 1 ? `No reading yet: ${measures}.` : 'No reading yet.';
    }
    case 'no-limit':
      return `Recorded; ${words.notJudged[reason.why]}.`;
  }
}

function limitSentence(reason: Extract<Reason, { rule: 'limit' }>): string {
  const { measure, value, threshold, kind, bound } = reason;
  const crossed = reason.grade !== 'pass';
  const spot = words.spot[reason.spot];
  const told = `${words.bound[bound]} ${amount(measure, value)}`.trim();
  const subject = capital(`${spot ? `${spot} ` : ''}${told}`);
  const side = threshold.bad === 'below' ? 'under' : threshold.inclusive ? 'at or over' : 'over';
  const edge = `${threshold.grade} ${threshold.inclusive ? 'from' : threshold.bad === 'below' ? 'under' : 'over'}`;
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  switch (kind) {
    case 'value':
      if (typeof MEASURES[measure].taken !== 'string')
        return `${capital(`${spot ? `${spot}: ` : ''}${words.measure[measure].toLowerCase()} ${figure(measure, value)}`)}.`;
      if (bound !== 'exact') {
        // A lamp that stays on is nothing to measure: the engine is stopped.
        if (measure === 'seconds') return `${subject}.`;
        return crossed ? `${subject}: measure it.` : `${subject}; ${edge} ${figure(measure, threshold.value)}.`;
      }
      return crossed
        ? `${subject} is ${side} ${figure(measure, threshold.value)} (${words.basis[threshold.basis]}).`
        : `${subject}; ${edge} ${figure(measure, threshold.value)}.`;
    case 'spread':
      return `${amount(measure, value)} between the most and the least worn place.`;
    case 'across':
      return `${amount(measure, value)} different from the other side.`;
    case 'mixture-freeze': {
      const freezes = amount('freeze', value + houseRules().designLowC);
      return `Freezes at ${bound === 'exact' ? '' : 'or under '}${freezes} by its mixture; the lowest to expect is ${amount('freeze', houseRules().designLowC)}.`;
    }
    case 'twins':
      return `${amount(measure, value)} different from the other of the pair.`;
    case 'front-rear':
      return `${amount(measure, value)} different from the other axle.`;
    case 'inner-outer':
      return `${amount(measure, value)} between inner and outer pad.`;
    case 'over-minimum':
      return crossed && value < 0
        ? `${figureIn('mm', -value)} mm under the stamped minimum.`
        : `${figureIn('mm', value)} mm above the stamped minimum.`;
    case 'share-of-new':
      return `${percent(value)} of new; ${threshold.grade} under ${percent(threshold.value)}.`;
    case 'rated-share':
      return `${percent(value)} of the rated current; ${threshold.grade} under ${percent(threshold.value)}.`;
    case 'torque-share':
      return `${percent(value)} of the torque of the spec sheet; ${edge} ${percent(threshold.value)}.`;
    case 'age':
      return `${bound === 'exact' ? '' : 'More than '}${Math.floor(value)} years old; ${edge} ${threshold.value}.`;
    case 'over-design-low':
      return `Freezes at ${amount('freeze', value + houseRules().designLowC)}; the lowest to expect is ${amount('freeze', houseRules().designLowC)}.`;
    case 'per-12-volts':
      return `${value.toFixed(2)} V of a 12 V system${crossed ? ` is ${side} ${threshold.value}` : `; ${edge} ${threshold.value}`}.`;
    case 'placard-share': {
      const { atReferenceKpa = 0, placardKpa = 0 } = reason.pressure ?? {};
      const share = Math.round(Math.abs(value) * 100);
      const off = value === 0 ? 'as the placard' : `${share} % ${value < 0 ? 'under' : 'over'} the placard`;
      return `${amount('pressure', atReferenceKpa)} at ${PLACARD_TEMPERATURE_C} °C, ${off} (${figure('pressure', placardKpa)}).`;
    }
  }
}

/** The source of the limit behind a reason, for who taps on it. */
export function reasonSource(reason: Reason): string | null {
  const basis = basisOf(reason);
  if (basis === null) return null;
  const source = 'threshold' in reason ? reason.threshold.source : 'the limit sheet';
  return `${capital(words.basis[basis])}: ${source}`;
}

/** The reasons that decide, as one line: those of the computed grade, or the first; a person's own grade comes first. */
export function gradeSentence({
  computed,
  override,
  reasons,
}: Pick<PointGrade, 'computed' | 'override' | 'reasons'>): string {
  const deciding = reasons.filter((reason) => reason.grade === computed);
  const rest = reasons.filter((reason) => reason.grade !== computed && reason.grade !== 'pass');
  // A sound tread has three passing places: the nearest to its limit says it all.
  const shown = computed === 'pass' ? [nearest(deciding)] : [...deciding, ...rest];
  const why = shown.map(reasonSentence).join(' ');
  return override ? `Given by hand: ${override.reason} Computed ${words.grade[computed].toLowerCase()}: ${why}` : why;
}

function nearest(reasons: readonly Reason[]): Reason {
  const limits = reasons.filter((reason) => reason.rule === 'limit');
  const gap = (reason: Reason) =>
    reason.rule === 'limit' ? Math.abs(reason.value - reason.threshold.value) : Infinity;
  const told = reasons.find(
    (reason) => reason.rule === 'pair' || reason.rule === 'leak' || (reason.rule === 'count' && reason.item === 'all'),
  );
  return told ?? [...limits].sort((a, b) => gap(a) - gap(b))[0] ?? reasons[0] ?? { rule: 'sound', grade: 'pass' };
}
