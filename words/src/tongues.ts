import type { Language } from '@weskopos/contract';
import { de } from './de';
import { en } from './en';
import type { Tongue } from './tongue';

/** Every language things are told in. */
export const TONGUES: Readonly<Record<Language, Tongue>> = { en, de };
