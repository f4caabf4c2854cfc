import { decodeDash } from './decodeDash';

const TABLE = [
  { code: 'A', means: 'Small service' },
  { code: 'B', means: 'Large service: engine oil and filter' },
  { code: '1', means: 'Rotation of the wheels' },
  { code: '12', means: 'Spark plugs' },
  { code: '3', means: 'Axle oil' },
];
const codes = (typed: string) => {
  const { meant, unknown } = decodeDash(typed, TABLE);
  return [meant.map(({ code }) => code).join(' '), unknown];
};

test.each([
  ['B13', 'B 1 3', ''],
  ['b 1 3', 'B 1 3', ''],
  ['B-12', 'B 12', ''],
  ['B1 2', 'B 12', ''],
  ['A A', 'A', ''],
  ['B7', 'B', '7'],
  ['service', '', 'SERVICE'.replace(/[AB]/g, '')],
  ['', '', ''],
])('%s', (typed, meant, unknown) => expect(codes(typed)).toEqual([meant, unknown]));

test('without a table nothing is meant', () => expect(decodeDash('B13', [])).toEqual({ meant: [], unknown: 'B13' }));
