import fs from 'node:fs/promises';
import { errorCode } from './errorCode';

test('what the system says is its code, whatever made the error', async () => {
  expect(errorCode(await fs.readFile('/no/such/file').catch((error: unknown) => error))).toBe('ENOENT');
  expect(errorCode({ code: 'EXDEV' })).toBe('EXDEV');
});

test.each([[new Error('plain')], [{ code: 7 }], [null], [undefined], ['ENOENT']])('%p has none', (error) => {
  expect(errorCode(error)).toBeUndefined();
});
