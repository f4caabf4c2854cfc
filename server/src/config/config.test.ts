import path from 'node:path';
import { readConfig } from './config';

const ROOT = path.resolve('/srv/weskopos');

test('without any variable it listens on 4310 and keeps its data beside the program', () => {
  expect(readConfig({}, ROOT)).toMatchObject({
    port: 4310,
    dataFolder: path.join(ROOT, 'weskopos-data'),
    backupFolder: path.join(ROOT, 'weskopos-data-backups'),
    appFolder: path.join(ROOT, 'app', 'dist'),
  });
});

test.each([
  ['PORT', '8080', { port: 8080 }],
  ['PORT', '0', { port: 0 }],
  ['PORT', '', { port: 4310 }],
  ['WESKOPOS_DATA', '/var/bay', { dataFolder: '/var/bay' }],
  ['WESKOPOS_BACKUPS', '/var/kept', { backupFolder: '/var/kept' }],
  ['LOG_LEVEL', 'info', { logLevel: 'info' }],
])('%s=%s', (name, value, expected) => {
  expect(readConfig({ [name]: value }, ROOT)).toMatchObject(expected);
});

test.each([
  ['PORT', 'eighty'],
  ['PORT', '-1'],
  ['PORT', '65536'],
  ['PORT', '80.5'],
  ['DATABASE_URL', 'postgres://bay'],
])('%s=%s is refused by its name', (name, value) => {
  expect(() => readConfig({ [name]: value }, ROOT)).toThrow(name);
});
