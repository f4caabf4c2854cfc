import { MEASURES, PLACARD_TEMPERATURE_C, basisOf, type PointGrade, type Reason } from '@weskopos/core';
import { amount, capital, day, decimals, figure, figureIn, houseRules, inSentence, lampSpotWords } from './show';
import { told } from './tongue';

/** One plain sentence of why, from the reason's data. */
export function reasonSentence(reason: Reason): string {
  const { said } = told;
  switch (reason.rule) {
    case 'limit':
      return limitSentence(reason);
    case 'undecided': {
      const { measure, value, bound, threshold } = reason;
      return said.mustTell(
        capital(told.bound[bound]),
        amount(measure, value),
        figure(measure, threshold.value),
        gradeWord(threshold.grade),
      );
    }
    case 'leak': {
      const where = reason.place ? `, ${told.leakPlace[reason.place]}` : '';
      const reaches = reason.reaches === 'nothing' ? '' : said.reaches(told.reach[reason.reaches]);
      return `${capital(told.fluid[reason.fluid])}${where}, ${inSentence(told.stage[reason.stage])}${reaches}${reason.watch ? said.wipe : ''}.`;
    }
    case 'word':
      return `${capital(told.word[reason.word])}.`;
    case 'glitter':
      return `${capital(told.word[reason.word])}: ${told.glitterWhy[reason.why]}.`;
    case 'count':
      return reason.item === 'all'
        ? said.goodOf(reason.good, reason.of)
        : said.lit(
            capital(told.lamp[reason.item]),
            reason.good,
            reason.of,
            (reason.out ?? []).map(lampSpotWords).join(', '),
          );
    case 'code':
      return said.code(reason.code, told.codeState[reason.state], reason.gone === true);
    case 'ahead': {
      const { measure, value, limit, chance, nextVisit } = reason;
      const what = capital(`${told.spot[reason.spot]} ${amount(measure, value)}`.trim());
      return said.ahead(what, Math.round(chance * 100), figure(measure, limit), day(nextVisit));
    }
    case 'pair':
      return said.pair;
    case 'sound':
      return said.sound;
    case 'not-looked-at':
      return said.notLookedAt;
    case 'not-reached':
      return said.notReached(reason.why ? told.accessReason[reason.why] : '');
    case 'out-of-condition':
      return said.outOfCondition(reason.needs.map((need) => told.need[need]).join(said.and));
    case 'partly-seen':
      return said.partlySeen(reason.why ? told.accessReason[reason.why] : '');
    case 'reading-missing': {
      const measures = reason.measures.map((measure) => inSentence(told.measure[measure])).join(said.or);
      const spots = reason.spots.map((spot) => told.spot[spot]).filter(Boolean);
      if (spots.length > 0) return said.noReading(spots.join(', '));
      return said.noReading(reason.measures.length > 1 ? measures : '');
    }
    case 'no-limit':
      return said.recorded(told.notJudged[reason.why]);
  }
}

function limitSentence(reason: Extract<Reason, { rule: 'limit' }>): string {
  const { said } = told;
  const { measure, value, threshold, kind, bound } = reason;
  const crossed = reason.grade !== 'pass';
  const spot = told.spot[reason.spot];
  const subject = capital(`${spot} ${`${told.bound[bound]} ${amount(measure, value)}`.trim()}`.trim());
  const side = threshold.bad === 'below' ? said.under : threshold.inclusive ? said.atOrOver : said.over;
  const grade = gradeWord(threshold.grade);
  const edge = said.edge(grade, threshold.inclusive ? 'from' : threshold.bad === 'below' ? 'under' : 'over');
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  const under = `${said.edge(grade, 'under')} ${percent(threshold.value)}`;
  const lowest = () => amount('freeze', houseRules().designLowC);
  const freezesAt = () => amount('freeze', value + houseRules().designLowC);
  switch (kind) {
    case 'value':
      if (typeof MEASURES[measure].taken !== 'string')
        return `${capital(`${spot ? `${spot}: ` : ''}${inSentence(told.measure[measure])} ${figure(measure, value)}`)}.`;
      if (bound !== 'exact') {
        // A lamp that stays on is nothing to measure: the engine is stopped.
        if (measure === 'seconds') return `${subject}.`;
        return crossed ? `${subject}: ${said.measureIt}.` : `${subject}; ${edge} ${figure(measure, threshold.value)}.`;
      }
      return crossed
        ? said.isBeyond(subject, side, figure(measure, threshold.value), told.basis[threshold.basis])
        : `${subject}; ${edge} ${figure(measure, threshold.value)}.`;
    case 'spread':
      return said.spread(amount(measure, value));
    case 'across':
      return said.across(amount(measure, value));
    case 'mixture-freeze':
      return said.freezes(freezesAt(), bound !== 'exact', lowest());
    case 'twins':
      return said.twins(amount(measure, value));
    case 'front-rear':
      return said.frontRear(amount(measure, value));
    case 'inner-outer':
      return said.innerOuter(amount(measure, value));
    case 'over-minimum':
      return crossed && value < 0
        ? said.underMinimum(`${figureIn('mm', -value)} mm`)
        : said.aboveMinimum(`${figureIn('mm', value)} mm`);
    case 'share-of-new':
      return said.shareOfNew(percent(value), under);
    case 'rated-share':
      return said.ratedShare(percent(value), under);
    case 'torque-share':
      return said.torqueShare(percent(value), `${edge} ${percent(threshold.value)}`);
    case 'age':
      return said.age(Math.floor(value), bound !== 'exact', `${edge} ${threshold.value}`);
    case 'over-design-low':
      return said.freezesAt(freezesAt(), lowest());
    case 'per-12-volts': {
      const told12 = said.per12(`${decimals(value, 2)} V`);
      return crossed
        ? said.isBeyond(told12, side, decimals(threshold.value), '')
        : `${told12}; ${edge} ${decimals(threshold.value)}.`;
    }
    case 'placard-share': {
      const { atReferenceKpa = 0, placardKpa = 0 } = reason.pressure ?? {};
      const share = Math.round(Math.abs(value) * 100);
      const off = value === 0 ? said.asPlacard : said.offPlacard(share, value < 0 ? 'under' : 'over');
      return said.pressureAt(
        amount('pressure', atReferenceKpa),
        PLACARD_TEMPERATURE_C,
        off,
        figure('pressure', placardKpa),
      );
    }
  }
}

/** A grade within a sentence. */
const gradeWord = (grade: PointGrade['grade']): string => inSentence(told.grade[grade]);

/** The source of the limit behind a reason, for who taps on it. */
export function reasonSource(reason: Reason): string | null {
  const basis = basisOf(reason);
  if (basis === null) return null;
  const source = 'threshold' in reason ? reason.threshold.source : told.said.limitSheet;
  return `${capital(told.basis[basis])}: ${source}`;
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
  return override ? told.said.byHand(override.reason, gradeWord(computed), why) : why;
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
