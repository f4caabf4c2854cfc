import type { PointCode } from '../catalogue/catalogue';
import type { GradedPoint } from '../grading/verdict';
import { hasFits } from '../vehicle/fits';
import { cataloguePoint } from '../catalogue/catalogue';
import type { Vehicle } from '../vehicle/vehicle';
import { actsOf, GATE_QUESTIONS, type Act, type GateQuestion } from './act';

const POINT_OF: Readonly<Record<GateQuestion, PointCode>> = {
  oil: 'cold.oil',
  coolant: 'cold.coolant',
  belts: 'cold.belts',
  dry: 'cold.pool',
};

/** What the gate knows: `open` until somebody looked. */
export type GateAnswer = 'yes' | 'no' | 'open';

/** What must be seen before the first start, and whether the engine may be started. */
export interface ColdGate {
  /** Only what the vehicle has. */
  readonly answers: readonly {
    readonly question: GateQuestion;
    readonly answer: GateAnswer;
    /** A *no* that a lead lets it start over. */
    readonly letOver: boolean;
  }[];
  /** Why a lead let it start over a *no*; null without. */
  readonly override: string | null;
  /** The engine may be started. */
  readonly passed: boolean;
}

/** The gate before the first start: answered here, or by what the walk has found. A failed point is a *no* whatever was answered. */
export function coldGate(
  vehicle: Pick<Vehicle, 'class' | 'axles' | 'makeUp' | 'meterUnit'>,
  acts: readonly Act[],
  points: readonly GradedPoint[],
): ColdGate {
  const given = actsOf(acts, 'gate');
  const answers = GATE_QUESTIONS.filter((question) =>
    hasFits(cataloguePoint(POINT_OF[question]).fits, vehicle, undefined),
  ).map((question) => {
    const said = given.findLast((act) => act.question === question);
    const found = points.find(({ point }) => point === POINT_OF[question]);
    const grade = found?.result.grade;
    const failedAt = grade === 'fail' ? (found?.finding?.at ?? '') : '';
    // Only what is plainly well answers by itself; anything else is for somebody to say.
    const answer: GateAnswer =
      grade === 'fail' ? 'no' : said ? (said.answer ? 'yes' : 'no') : grade === 'pass' ? 'yes' : 'open';
    const since =
      grade === 'fail' && said?.answer === false ? earlier(failedAt, said.at) : failedAt || (said?.at ?? '');
    return { question, answer, since };
  });
  const override = actsOf(acts, 'gate-override').at(-1) ?? null;
  // A lead lets it start over what was known then; what is found later shuts the gate again.
  const told = answers.map(({ question, answer, since }) => ({
    question,
    answer,
    letOver: answer === 'no' && override !== null && Date.parse(since) <= Date.parse(override.at),
  }));
  return {
    answers: told,
    override: override?.reason ?? null,
    passed: told.every(({ answer, letOver }) => answer === 'yes' || letOver),
  };
}

const earlier = (a: string, b: string) => (Date.parse(a) < Date.parse(b) ? a : b);
