/** What a device must know of operations without their shapes. */

/** Most operations in one request. */
export const MOST_OPERATIONS = 100;

/** Today's version of the record each kind of operation carries; held to the records by a test. */
export const OPERATION_VERSIONS = {
  'vehicle.put': 5,
  'inspection.start': 7,
  'finding.put': 5,
  'inspection.sign': 1,
  'inspection.void': 1,
  'inspection.restore': 1,
  'inspection.correct': 1,
  'amendment.put': 3,
  'act.put': 2,
  'entry.put': 4,
  'rulebook.put': 6,
} as const;

/** Why an operation whose shape is right could still not take effect. */
export const REFUSALS = [
  'no-vehicle',
  'no-inspection',
  'already-signed',
  'already-there',
  'no-place',
  'fleet-code-taken',
  'no-parent',
  'lead-only',
  'rules-changed',
  'ends-open',
  'no-end',
  'no-entry',
  'not-signed',
  'voided',
  'not-voided',
  'wrong-date',
  'cannot-be-kept',
  'no-person',
  'last-lead',
] as const;
/** Why a change was not taken, as a code that words hang on. */
export type Refusal = (typeof REFUSALS)[number];
