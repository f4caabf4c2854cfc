import type { FieldError } from '@weskopos/contract';
import { Refused } from '../http/problems';

/** So many faults are told; more say less. */
export const MOST_FAULTS = 100;

/** Why an archive is not taken: one of its faults, or all of those in its lines. */
export class BundleRefused extends Refused {
  constructor(code: BundleFault, about: string, errors?: readonly FieldError[]) {
    super(400, code, about, errors);
  }
}

/** What can be wrong with an archive, as a code that words hang on. */
export type BundleFault =
  | 'bundle-no-zip'
  | 'bundle-truncated'
  | 'bundle-name'
  | 'bundle-twice'
  | 'bundle-too-large'
  | 'bundle-no-manifest'
  | 'bundle-newer'
  | 'bundle-entry-missing'
  | 'bundle-entry-unnamed'
  | 'bundle-hash'
  | 'bundle-lines';
