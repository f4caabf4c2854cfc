/** @jest-environment node */
import { parseDay } from './parseDay';

const now = '2026-11-27T09:30:00.000Z';
const told = (text: string) => {
  const read = parseDay(text, now, 2019);
  return read.status === 'day' ? new Date(read.at).toLocaleDateString('en-CA') : read.status;
};

test.each([
  ['', 'empty'],
  ['14.3.2023', '2023-03-14'],
  [' 14/03/2023 ', '2023-03-14'],
  ['2023-03-14', '2023-03-14'],
  ['14 Mar 2023', '2023-03-14'],
  ['03/2023', '2023-03-01'],
  ['2023-03', '2023-03-01'],
  ['2023', '2023-01-01'],
  ['31.2.2023', 'unreadable'],
  ['last spring', 'unreadable'],
  ['14.3.23', 'unreadable'],
  ['28.11.2026', 'future'],
  ['2030', 'future'],
  ['31.12.2018', 'too-early'],
  ['1.1.2019', '2019-01-01'],
])('%p is %s', (text, said) => {
  expect(told(text)).toBe(said);
});

test('today is now, so that what is done after a look comes after it', () => {
  const today = new Date(now).toLocaleDateString('en-CA');
  expect(parseDay(today, now, 2019)).toEqual({ status: 'day', at: now });
});
