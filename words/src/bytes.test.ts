import { byteWords } from './bytes';

test.each([
  [0, '0 kB'],
  [1_390_101, '1.4 MB'],
  [23_000_000, '23 MB'],
  [2_500_000_000, '2.5 GB'],
])('%s bytes', (bytes, told) => expect(byteWords(bytes)).toBe(told));
