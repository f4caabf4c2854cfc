import type { PointCode } from '../catalogue/catalogue';
import { DRY } from '../catalogue/leaks';
import { BUILT_IN_TEMPLATES } from '../catalogue/templates';
import type { Finding, FindingChange } from '../inspection/finding';
import { CAR, contextOf, findingOf, leakOf, readingOf } from '../tests/builders';
import { GATE_QUESTIONS, type Act, type ActContent, type GateQuestion } from './act';
import { coldGate } from './coldGate';

const START = Date.parse('2026-06-01T08:00:00.000Z');
let made = 0;
const act = (minute: number, content: ActContent): Act => ({
  id: `act-${String((made += 1)).padStart(6, '0')}`,
  inspectionId: 'visit',
  at: new Date(START + minute * 60_000).toISOString(),
  ...content,
});

describe('the cold gate', () => {
  const at = (minute: number) => new Date(START + minute * 60_000).toISOString();
  const level = (value: number) => [{ ...readingOf('level', value) }];
  const look = (point: PointCode, change: FindingChange, minute = 1) => ({
    ...findingOf(point, '', change),
    at: at(minute),
  });
  const SOUND = {
    oil: look('cold.oil', { readings: level(0.8) }),
    coolant: look('cold.coolant', { readings: level(0.7) }),
    belts: look('cold.belts', {}),
    dry: look('cold.pool', { leaks: [DRY] }),
  };
  const gate = (change: Partial<Record<GateQuestion, Finding | null>>, acts: readonly Act[] = []) =>
    coldGate(
      contextOf(
        CAR,
        Object.values({ ...SOUND, ...change }).flatMap((one) => one ?? []),
      ),
      acts,
    );
  const answerTo = (question: GateQuestion, finding: Finding | null) =>
    gate({ [question]: finding }).answers.find((line) => line.question === question)?.answer;

  test('is told by its four points: open until all are seen', () => {
    expect(coldGate(contextOf(CAR, []), []).answers.map(({ answer }) => answer)).toEqual(Array(4).fill('open'));
    expect(gate({})).toMatchObject({ passed: true });
    for (const question of GATE_QUESTIONS) expect(gate({ [question]: null }).passed).toBe(false);
  });

  test.each<[string, GateQuestion, Finding, 'yes' | 'no' | 'open']>([
    ['oil just under the lower mark', 'oil', look('cold.oil', { readings: level(-0.05) }), 'no'],
    ['oil low but there', 'oil', look('cold.oil', { readings: level(0.1) }), 'yes'],
    ['oil far over the top mark', 'oil', look('cold.oil', { readings: level(1.4) }), 'no'],
    [
      'read warm: not judged, but there is some',
      'oil',
      look('cold.oil', { readings: level(0.5), outOf: ['off-cold'] }),
      'yes',
    ],
    ['a stick nobody got out', 'oil', look('cold.oil', { access: 'not-reached', accessReason: 'seized' }), 'no'],
    ['a photo of the stick alone', 'oil', look('cold.oil', { access: 'open' }), 'open'],
    ['an empty bottle', 'coolant', look('cold.coolant', { readings: level(-0.2) }), 'no'],
    ['a glazed belt', 'belts', look('cold.belts', { words: ['glazed'] }), 'yes'],
    ['a frayed belt', 'belts', look('cold.belts', { words: ['frayed'] }), 'no'],
    ['belts half hidden', 'belts', look('cold.belts', { access: 'partly', accessReason: 'tray-on' }), 'open'],
    ['a damp patch of oil', 'dry', look('cold.pool', { leaks: [leakOf({ stage: 'damp' })] }), 'yes'],
    ['a drop of coolant', 'dry', look('cold.pool', { leaks: [leakOf({ stage: 'drop', fluid: 'coolant' })] }), 'no'],
    [
      'water of the air conditioning',
      'dry',
      look('cold.pool', { leaks: [leakOf({ stage: 'drip', fluid: 'water' })] }),
      'yes',
    ],
    [
      'a stain of brake fluid',
      'dry',
      look('cold.pool', { leaks: [leakOf({ stage: 'damp', fluid: 'brake-fluid' })] }),
      'no',
    ],
  ])('%s', (_, question, finding, answer) => expect(answerTo(question, finding)).toBe(answer));

  test('a lead lets it start over one no, as it was then', () => {
    const low = look('cold.oil', { readings: level(-0.1) }, 2);
    const over = act(3, { kind: 'gate-override', question: 'oil', reason: 'towed in to be filled' });
    expect(gate({ oil: low }, [over])).toMatchObject({
      passed: true,
      answers: [{ letOver: 'towed in to be filled' }, {}, {}, {}],
    });
    // Another no, or the same found again later, is not what was let over.
    const empty = look('cold.coolant', { readings: level(-0.1) }, 2);
    expect(gate({ oil: low, coolant: empty }, [over]).passed).toBe(false);
    expect(gate({ oil: look('cold.oil', { readings: level(-0.3) }, 4) }, [over]).passed).toBe(false);
    // In older visits it named none, and was over all there were.
    const all = act(3, { kind: 'gate-override', question: null, reason: 'known' });
    expect(gate({ oil: low, coolant: empty }, [all]).passed).toBe(true);
  });

  test('older visits answered by a word, which a look outdoes', () => {
    const said = GATE_QUESTIONS.map((question) => act(1, { kind: 'gate', question, answer: true }));
    expect(coldGate(contextOf(CAR, []), said).passed).toBe(true);
    const split = look('cold.belts', { words: ['frayed'] }, 0);
    expect(coldGate(contextOf(CAR, [split]), said).passed).toBe(false);
  });

  test('a machine is looked at on its own points', () => {
    const machine = { ...CAR, class: 'plant' as const };
    const daily = BUILT_IN_TEMPLATES.find(({ code }) => code === 'plant-daily');
    const context = contextOf(machine, []);
    const rules = { ...context.rules, template: daily ?? context.rules.template };
    expect(coldGate({ ...context, rules }, []).answers.map(({ point }) => point)).toEqual([
      'plant.oil',
      'plant.coolant',
      'cold.belts',
      'cold.pool',
    ]);
  });
});
