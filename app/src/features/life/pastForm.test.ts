import { CAR } from '@weskopos/core/tests/builders';
import { pastOf, pastProblems } from './pastForm';

const now = '2026-11-27T09:30:00.000Z';
const wrong = (when: string, meter: string) =>
  Object.entries(pastProblems({ when, meter }, CAR, now)).flatMap(([field, told]) => (told ? [field] : []));

test.each([
  ['03/2023', '21 000', []],
  ['03/2023', '', []],
  ['', '21000', ['when']],
  ['2019', '', ['when']],
  ['28.11.2026', '', ['when']],
  ['03/2023', 'about 20', ['meter']],
  ['03/2023', '-1', ['meter']],
])('a job told for %p at %p', (when, meter, fields) => {
  expect(wrong(when, meter)).toEqual(fields);
});

test('what is told is kept in the vehicle’s unit; a meter nobody read stays one', () => {
  expect(pastOf({ when: '14.3.2023', meter: '13000mi' }, CAR, now)).toMatchObject({
    at: expect.stringMatching(/^2023-03-14/),
    meter: expect.closeTo(20_921, 0),
  });
  expect(pastOf({ when: '2023', meter: '' }, CAR, now).meter).toBeNull();
});
