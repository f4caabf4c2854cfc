import { CATALOGUE, cataloguePoint } from '../catalogue/catalogue';
import { BUILT_IN_TEMPLATES } from '../catalogue/templates';
import { OWN_STATIONS } from '../catalogue/points/own';
import { visitPoints } from '../inspection/walkSteps';
import { BUILT_IN_RULEBOOK, rulesOf } from '../rules/rulebook';
import { rulebookProblems } from '../rules/rulebookProblems';
import { CAR, contextOf, findingOf } from '../tests/builders';
import { gradePoint } from '../grading/gradePoint';
import { OWN_CODES, freeOwnPoint, isOwnCode, type OwnPoints } from './ownPoint';

const named = (ownPoints: OwnPoints, points: readonly (typeof OWN_CODES)[number][] = []) => ({
  ...BUILT_IN_RULEBOOK,
  templates: BUILT_IN_TEMPLATES.map((one) =>
    one.code === 'full' ? { ...one, points: [...one.points, ...points] } : one,
  ),
  house: { ...BUILT_IN_RULEBOOK.house, ownPoints },
});
const PLATE = { name: 'Snow plate bolts', look: 'All six in, paint unbroken' };

test('eight are kept free at each station, and no built-in template holds one', () => {
  expect(OWN_CODES).toHaveLength(8 * OWN_STATIONS.length);
  expect(CATALOGUE.filter(({ own }) => own).map(({ code }) => code)).toEqual(OWN_CODES);
  for (const { points } of BUILT_IN_TEMPLATES) expect(points.filter(isOwnCode)).toEqual([]);
});

test('a named one is walked at its station, at wheels at each hub, and judged by its words', () => {
  const rulebook = named({ 'own.under.1': PLATE, 'own.wheel.1': { ...PLATE, name: 'Hub cover' } }, [
    'own.under.1',
    'own.wheel.1',
  ]);
  expect(rulebookProblems(rulebook)).toEqual([]);
  const { template, house } = rulesOf(rulebook, 'full');
  const own = visitPoints({ vehicle: CAR, template, house, focus: null }).filter(({ point }) => isOwnCode(point));
  expect(own.map(({ point, place }) => `${point}@${place}`).sort()).toEqual([
    'own.under.1@',
    ...['1L', '1R', '2L', '2R'].map((hub) => `own.wheel.1@${hub}`),
  ]);
  const look = (words: readonly 'loose'[]) => {
    const finding = findingOf('own.under.1', '', { words });
    return gradePoint(finding, contextOf(CAR, [finding])).grade;
  };
  expect([look([]), look(['loose'])]).toEqual(['pass', 'advisory']);
  expect(gradePoint({ point: 'own.under.1', place: '' }, contextOf(CAR, [])).grade).toBe('not-seen');
});

test('the next free one of a station; none once all are named', () => {
  expect(freeOwnPoint({}, 'cabin')).toBe('own.cabin.1');
  expect(freeOwnPoint({ 'own.cabin.1': PLATE }, 'cabin')).toBe('own.cabin.2');
  expect(freeOwnPoint({ 'own.cabin.1': PLATE }, 'under')).toBe('own.under.1');
  const all = Object.fromEntries(
    OWN_CODES.filter((code) => cataloguePoint(code).station === 'cabin').map((code) => [code, PLATE]),
  );
  expect(freeOwnPoint(all, 'cabin')).toBeNull();
});

test.each([
  ['a template that holds one nobody named', named({}, ['own.under.3']), ['own-unnamed']],
  ['a name of blanks', named({ 'own.under.3': { ...PLATE, name: '  ' } }), ['own-unnamed']],
  [
    'one name twice',
    named({ 'own.under.3': PLATE, 'own.cabin.1': { ...PLATE, name: 'snow PLATE bolts' } }),
    ['own-twice'],
  ],
])('%s is refused', (_, rulebook, codes) => {
  expect(rulebookProblems(rulebook).map(({ code }) => code)).toEqual(codes);
});
