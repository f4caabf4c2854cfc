/** @jest-environment node */
import { FLUID_SUMS } from './fluidSums';
import { OTHER_SUMS } from './otherSums';
import { answerOf, type Sum, type SumField } from './sum';
import { TYRE_SUMS } from './tyreSums';

const SUMS = [...TYRE_SUMS, ...FLUID_SUMS, ...OTHER_SUMS];
const named = SUMS.map((sum): [string, Sum] => [sum.code, sum]);
const usual = ({ fields }: Sum) => Object.fromEntries(fields.map(({ name, usual: value }) => [name, value]));
const isFigure = (field: SumField): field is Exclude<SumField, { options: unknown }> => !('options' in field);
const sumOf = (code: string): Sum => {
  const sum = SUMS.find((one) => one.code === code);
  if (!sum) throw new Error(`no sum ${code}`);
  return sum;
};
const answer = (code: string, typed: Record<string, string> = {}) => {
  const sum = sumOf(code);
  return answerOf(sum, { ...usual(sum), ...typed });
};
const lines = (code: string, typed: Record<string, string> = {}) => {
  const told = answer(code, typed);
  if (told.status !== 'lines') throw new Error(`${code}: ${JSON.stringify(told)}`);
  return told.lines.join('\n');
};

test('no two sums share a code, no two fields of a sum a name', () => {
  expect(new Set(SUMS.map(({ code }) => code)).size).toBe(SUMS.length);
  for (const { fields } of SUMS) expect(new Set(fields.map(({ name }) => name)).size).toBe(fields.length);
});

describe.each(named)('%s', (code, sum) => {
  test('answers what stands in its fields at first, in words and whole figures', () => {
    const told = answerOf(sum, usual(sum));
    expect(['lines', 'refused']).toContain(told.status);
    if (told.status !== 'lines') return;
    expect(told.lines.length).toBeGreaterThan(0);
    for (const line of told.lines) expect(line).not.toMatch(/NaN|undefined|null|Infinity|^\s*$/);
  });

  test('says at each figure what it may be, and takes the ends of its range', () => {
    for (const field of sum.fields.filter(isFigure)) {
      for (const wrong of ['abc', String(field.most * 2 + 1), String(field.least - 1)]) {
        const told = answer(code, { [field.name]: wrong });
        expect(told.status).toBe('problems');
        if (told.status === 'problems') expect(told.problems[field.name]).toContain(`${field.least} to ${field.most}`);
      }
      for (const end of [field.least, field.most])
        expect(answer(code, { [field.name]: String(end) }).status).not.toBe('problems');
    }
  });

  test('asks for what is left empty, unless it may be', () => {
    for (const field of sum.fields.filter(isFigure)) {
      const told = answer(code, { [field.name]: '' });
      if (field.optional) expect(told.status).not.toBe('problems');
      else expect(told).toMatchObject({ status: 'problems', problems: { [field.name]: expect.any(String) as string } });
    }
  });
});

test.each([
  ['battery', 'type'],
  ['glycol', 'kind'],
  ['boiling', 'grade'],
  ['units', 'unit'],
])('%s: something that is none of the choices of %s is refused, never taken for one of them', (code, field) => {
  expect(answer(code, { [field]: 'of my own' })).toMatchObject({
    status: 'refused',
    why: expect.stringContaining('Choose one of') as string,
  });
});

test('figures typed in another unit, and with thousands apart, are the same figures', () => {
  expect(lines('units', { value: '35', unit: 'psi' })).toContain('241.317 kPa');
  expect(lines('torque', { torque: '85 lb ft' })).toBe(lines('torque', { torque: '115,2445' }));
  expect(answer('units', { value: '1 000', unit: 'mm' })).toEqual(answer('units', { value: '1000', unit: 'mm' }));
});

test('two standards of a battery are not compared; without figures only the charge is told', () => {
  const options = (name: string) => {
    const field = sumOf('battery').fields.find((one) => one.name === name);
    return field && 'options' in field ? field.options : [];
  };
  const [one = '', other = ''] = options('measuredBy');
  expect(lines('battery', { measuredBy: one, ratedBy: one })).toContain('health 75 %');
  expect(lines('battery', { measuredBy: one, ratedBy: other })).toContain('not compared');
  expect(lines('battery', { measured: '', rated: '' }).split('\n')).toHaveLength(1);
});

test('the order of the studs depends on how many there are', () => {
  const order = (studs: string) =>
    lines('torque', { studs }).split('\n').at(-1)?.split(': ')[1]?.split(', ').map(Number);
  for (const studs of ['4', '5', '6', '8', '10'])
    expect([...(order(studs) ?? [])].sort((a, b) => a - b)).toEqual(
      Array.from({ length: Number(studs) }, (_, at) => at + 1),
    );
  expect(answer('torque', { studs: '7' }).status).toBe('refused');
});
