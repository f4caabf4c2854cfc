import type { PointCode } from '../catalogue/catalogue';
import { cataloguePoint, pointKey } from '../catalogue/catalogue';
import type { Fluid, LeakStage } from '../catalogue/leaks';
import type { GradingContext } from '../grading/compared';
import { gradePoint } from '../grading/gradePoint';
import { readingAt, readingValue, type Finding } from '../inspection/finding';
import { hasFits } from '../vehicle/fits';
import { actsOf, GATE_QUESTIONS, type Act, type GateQuestion } from './act';

/** Where each question is looked at: on a machine at points of its own. */
const POINTS_OF: Readonly<Record<GateQuestion, readonly PointCode[]>> = {
  oil: ['cold.oil', 'plant.oil'],
  coolant: ['cold.coolant', 'plant.coolant'],
  belts: ['cold.belts', 'plant.fan.belt'],
  dry: ['cold.pool'],
};

/** What the gate knows: `open` until somebody looked. */
export type GateAnswer = 'yes' | 'no' | 'open';

/** One question of the gate, the point it is looked at, and what is known. */
export interface GateLine {
  readonly question: GateQuestion;
  readonly point: PointCode;
  readonly answer: GateAnswer;
  /** Why a lead lets it start over this *no*; null without. */
  readonly letOver: string | null;
}

/** What must be seen before the first start, and whether the engine may be started. */
export interface ColdGate {
  /** Only what the vehicle has. */
  readonly answers: readonly GateLine[];
  /** The engine may be started. */
  readonly passed: boolean;
}

/** Stages that leave something on the ground. */
const POOLS: readonly LeakStage[] = ['drop', 'drip', 'run'];
/** What may lie under a sound vehicle. */
const HARMLESS: readonly Fluid[] = ['water', 'washer'];

/**
 * The gate before the first start, told by what was found at its points: oil and coolant between or over the marks, belts
 * on and whole, nothing pooled. A reading that is not judged still tells whether there is any. What nobody could see is a
 * *no*. A lead lets it start over one *no*, as it was then; found again later it is shut again.
 */
export function coldGate(context: GradingContext, acts: readonly Act[]): ColdGate {
  const answers = GATE_QUESTIONS.flatMap((question): GateLine[] => {
    const point = gatePoint(question, context);
    if (point === null) return [];
    const { answer, since } = answerAt(question, point, context, acts);
    return [{ question, point, answer, letOver: answer === 'no' ? letOver(question, since, acts) : null }];
  });
  return { answers, passed: answers.every(({ answer, letOver: over }) => answer === 'yes' || over !== null) };
}

/** The point of a question that this visit looks at; else the first the vehicle has; null where it has none. */
function gatePoint(question: GateQuestion, { vehicle, rules }: GradingContext): PointCode | null {
  const has = POINTS_OF[question].filter((code) => hasFits(cataloguePoint(code).fits, vehicle, undefined));
  return has.find((code) => rules.template.points.includes(code)) ?? has[0] ?? null;
}

interface Answered {
  readonly answer: GateAnswer;
  /** Since when it is so, ISO 8601; empty while it is open. */
  readonly since: string;
}

function answerAt(question: GateQuestion, point: PointCode, context: GradingContext, acts: readonly Act[]): Answered {
  const finding = context.standing.get(pointKey(point, ''));
  const found = finding ? told(question, point, finding, context) : null;
  if (finding && found) return { answer: found, since: finding.at };
  // Visits begun before the gate was looked at on its points answered by a word.
  const said = actsOf(acts, 'gate').findLast((act) => act.question === question);
  return said ? { answer: said.answer ? 'yes' : 'no', since: said.at } : { answer: 'open', since: '' };
}

/** What a look says to its question; null where it says nothing to it. */
function told(question: GateQuestion, point: PointCode, finding: Finding, context: GradingContext): GateAnswer | null {
  if (finding.access === 'not-reached') return 'no';
  if (finding.access === 'open') return null;
  const fails = gradePoint({ point, place: '' }, context).grade === 'fail';
  switch (question) {
    case 'oil':
    case 'coolant': {
      const level = readingAt(finding, 'level');
      if (!level) return null;
      return fails || readingValue(level) < 0 ? 'no' : 'yes';
    }
    case 'belts':
      if (fails) return 'no';
      return finding.access === 'partly' ? null : 'yes';
    case 'dry': {
      const pooled = finding.leaks.some(({ stage, fluid }) => POOLS.includes(stage) && !HARMLESS.includes(fluid));
      if (fails || pooled) return 'no';
      return finding.leaks.length > 0 ? 'yes' : null;
    }
  }
}

function letOver(question: GateQuestion, since: string, acts: readonly Act[]): string | null {
  const over = actsOf(acts, 'gate-override').findLast((act) => act.question === question || act.question === null);
  return over && Date.parse(since) <= Date.parse(over.at) ? over.reason : null;
}
