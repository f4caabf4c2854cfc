import type { Vocabulary } from '@weskopos/core';

/** Kinds of parts whose words are drawn: known without fetching the drawings. */
export const DRAWN: readonly Vocabulary[] = [
  'tyre',
  'tyre-wall',
  'belt',
  'hose',
  'boot',
  'spring',
  'damper',
  'brake',
  'disc',
  'brake-hose',
  'fluid',
  'smoke',
  'exhaust',
  'glass',
  'plug',
  'terminal',
  'bush',
  'rust',
  'cap',
  'calliper',
];
