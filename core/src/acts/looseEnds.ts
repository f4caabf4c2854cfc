import { entryOf } from '../sums/keyed';
import type { HouseRules } from '../house/houseRules';
import { capacityL, torqueOf, type SpecSheet } from '../vehicle/specSheet';
import { toStored } from '../units/units';
import { actsOf, type Act, type ActOf, type EndProof, type ProofDoubtCode } from './act';
import { oppositePlace, type Place } from '../vehicle/vehicle';
import { FILLED_THROUGH, endRule, type EndKind, type ProofField } from './endKinds';

/** Something that was opened in this visit, and what closed it. */
export interface LooseEnd {
  readonly opened: ActOf<'open'>;
  /** Filled in stages so far, L. */
  readonly filledL: number;
  /** The first closing counts; a second one is harmless. */
  readonly closed: ActOf<'close'> | null;
}

/** Every end of a visit in the order it was opened. */
export function looseEnds(acts: readonly Act[]): LooseEnd[] {
  const closings = actsOf(acts, 'close');
  const fills = actsOf(acts, 'fill');
  return actsOf(acts, 'open').map((opened) => ({
    opened,
    filledL: fills.filter(({ opens }) => opens === opened.id).reduce((sum, { litres }) => sum + litres, 0),
    closed: closings.find(({ opens }) => opens === opened.id) ?? null,
  }));
}

/** What still hangs: an inspection is not signed over these. */
export function openEnds(acts: readonly Act[]): LooseEnd[] {
  return looseEnds(acts).filter(({ closed }) => closed === null);
}

/** What a closing is held against. */
export interface ProofContext {
  readonly spec: SpecSheet;
  readonly house: Pick<HouseRules, 'drainWasher' | 'filterTightness'>;
}

/** Why an end cannot be closed yet, and what is allowed. */
export interface ProofProblem {
  readonly field: ProofField;
  readonly code: 'missing' | 'out-of-range';
  readonly allowed: string;
}

interface Range {
  readonly least: number;
  readonly most: number;
}

/** Largest values that could be true. */
export const PROOF_RANGES = {
  torqueNm: { least: 1, most: 1000 },
  litres: { least: 0.05, most: 200 },
  level: { least: -0.5, most: 1.5 },
} as const;

/**
 * What a closing wants told on this vehicle: a torque by the spec sheet brings its angle and the renewing of its bolts,
 * a filter is tightened to a torque only where the house does so and the sheet has one.
 */
export function proofAsked(end: EndKind, { spec, house }: ProofContext): ProofField[] {
  const { proof, fastener } = endRule(end);
  const torque = fastener && torqueOf(spec, fastener);
  const byHand = end === 'oil-filter' && house.filterTightness === 'half-turn';
  const byTorque = torque !== null && !byHand;
  return [
    ...proof,
    ...(byTorque && !proof.includes('torqueNm') ? (['torqueNm'] as const) : []),
    ...(byTorque && torque.angleDeg !== null ? (['angleDone'] as const) : []),
    ...(torque?.renew ? (['renewed'] as const) : []),
  ];
}

/** Proofs that count only as a yes. */
const ONLY_YES: readonly ProofField[] = ['onGround', 'seenTo', 'primed', 'angleDone'];

/** What keeps an end from being closed: a proof that is missing or cannot be true. */
export function proofProblems(end: ActOf<'open'>, proof: EndProof, context: ProofContext): ProofProblem[] {
  return proofAsked(end.end, context).flatMap((field): ProofProblem[] => {
    const allowed = allowedIn(field, end);
    const value = proof[field];
    if (value === null) return [{ field, code: 'missing', allowed }];
    if (ONLY_YES.includes(field)) return value === true ? [] : [{ field, code: 'out-of-range', allowed }];
    const range = field === 'fasteners' ? { least: 0, most: end.fasteners ?? 0 } : entryOf<Range>(PROOF_RANGES, field);
    if (typeof value !== 'number' || !range) return [];
    return value >= range.least && value <= range.most ? [] : [{ field, code: 'out-of-range', allowed }];
  });
}

function allowedIn(field: ProofField, end: ActOf<'open'>): string {
  switch (field) {
    case 'torqueNm':
      return `${PROOF_RANGES.torqueNm.least} to ${PROOF_RANGES.torqueNm.most} N·m`;
    case 'litres':
      return `${PROOF_RANGES.litres.least} to ${PROOF_RANGES.litres.most} L`;
    case 'level':
      return `${PROOF_RANGES.level.least} to ${PROOF_RANGES.level.most} of the span between the marks`;
    case 'fasteners':
      return `0 to ${end.fasteners ?? 0}`;
    case 'washer':
      return 'new or reused';
    case 'oldSealSeen':
    case 'renewed':
    case 'marked':
      return 'yes or no';
    case 'onGround':
      return 'with the wheel on the ground';
    case 'angleDone':
      return 'turned on by the angle of the spec sheet';
    case 'primed':
      return 'fuel pumped up and the air let out';
    case 'seenTo':
      return 'seen to';
    case 'debris':
      return 'nothing, fuzz or pieces';
    case 'partNumber':
      return 'at most 60 characters';
  }
}

/** Farther from the spec sheet than this share of it, a torque is asked about. */
const TORQUE_OFF = 0.15;
/** More than the capacity by this share is asked about: what the filter holds and what was left in the pan. */
const CAPACITY_OVER = 0.05;
/** Share of its capacity that an engine has in it when it is started, and when its filling is closed unasked. */
export const LEAST_FILLED = 0.8;
/** A level closed outside these is asked about, of the span between the marks. */
const LEVEL_KEPT = { least: 0, most: 1.05 } as const;
/** How near the other unit must come for a slip of unit to be named. */
const UNIT_SLIP = 0.06;

/** What is odd about a proof: asked once, then kept. */
export interface ProofDoubt {
  readonly code: ProofDoubtCode;
  /** What the spec sheet or the opening says; null where it is a matter of the house's custom. */
  readonly expected: number | null;
  /** The figure fits when it is read in the other unit. */
  readonly unitSlip: boolean;
}

/** What is asked once before a closing is taken; an answer in `proof.kept` is not asked again. */
export function proofDoubts(end: ActOf<'open'>, proof: EndProof, { spec, house }: ProofContext): ProofDoubt[] {
  const { fastener, fluid } = endRule(end.end);
  const doubts: ProofDoubt[] = [];
  const torque = fastener && torqueOf(spec, fastener)?.newtonMetres;
  if (torque && proof.torqueNm !== null && Math.abs(proof.torqueNm / torque - 1) > TORQUE_OFF) {
    const near = (value: number) => Math.abs(value / torque - 1) <= UNIT_SLIP;
    const perPound = toStored(1, 'lb·ft');
    const unitSlip = near(proof.torqueNm * perPound) || near(proof.torqueNm / perPound);
    doubts.push({ code: 'torque-off', expected: torque, unitSlip });
  }
  const capacity = fluid && capacityL(spec, fluid);
  if (capacity && proof.litres !== null && proof.litres > capacity * (1 + CAPACITY_OVER)) {
    const perQuart = toStored(1, 'US qt');
    doubts.push({
      code: 'over-capacity',
      expected: capacity,
      unitSlip: Math.abs((proof.litres * perQuart) / capacity - 1) <= UNIT_SLIP,
    });
  }
  if (capacity && end.end === 'oil-fill' && proof.litres !== null && proof.litres < capacity * LEAST_FILLED)
    doubts.push({ code: 'under-capacity', expected: capacity, unitSlip: false });
  if (proof.level !== null && (proof.level < LEVEL_KEPT.least || proof.level > LEVEL_KEPT.most))
    doubts.push({ code: 'level-off', expected: null, unitSlip: false });
  if (end.fasteners !== null && proof.fasteners !== null && proof.fasteners < end.fasteners)
    doubts.push({ code: 'fasteners-missing', expected: end.fasteners, unitSlip: false });
  if (proof.washer === 'reused' && house.drainWasher === 'new')
    doubts.push({ code: 'washer-reused', expected: null, unitSlip: false });
  if (proof.oldSealSeen === false) doubts.push({ code: 'seal-not-seen', expected: null, unitSlip: false });
  if (proof.renewed === false) doubts.push({ code: 'not-renewed', expected: null, unitSlip: false });
  if (proof.debris === 'pieces') doubts.push({ code: 'pieces-found', expected: null, unitSlip: false });
  return doubts.filter(({ code }) => !proof.kept.includes(code));
}

/** What speaks against opening an end now. */
export type OpeningProblem = 'fill-plug-first' | 'other-side-apart';

/**
 * What speaks against opening an end now: oil is not let out before its fill plug has come loose, and one side of an axle's
 * brakes stays whole as the pattern for the other. What was done all the same is written down like anything else.
 */
export function openingProblem(acts: readonly Act[], end: EndKind, place: Place): OpeningProblem | null {
  const fillPlug = entryOf<EndKind>(FILLED_THROUGH, end);
  if (fillPlug)
    return looseEnds(acts).some(({ opened }) => opened.end === fillPlug && opened.place === place)
      ? null
      : 'fill-plug-first';
  const apart = openEnds(acts).some(
    ({ opened }) => opened.end === 'brake' && end === 'brake' && opened.place === oppositePlace(place),
  );
  return apart ? 'other-side-apart' : null;
}

/**
 * Litres that are to be in when the filling is done: the capacity up to the top mark, less half of what lies between the
 * marks where the house fills to the middle and the spec sheet knows it. Null when the capacity is not known.
 */
export function fillTargetL(
  spec: Pick<SpecSheet, 'fluids' | 'stickSpanL'>,
  house: Pick<HouseRules, 'oilTarget'>,
): number | null {
  const capacity = capacityL(spec, 'engine-oil');
  if (capacity === null || house.oilTarget === 'top' || spec.stickSpanL === null) return capacity;
  return Math.max(capacity - spec.stickSpanL / 2, capacity * LEAST_FILLED);
}

/** How far a staged filling is asked to go before the next look at the stick, L: never more than three quarters of what is missing. */
export function nextFillL(targetL: number | null, filledL: number): number | null {
  if (targetL === null) return null;
  const missing = targetL - filledL;
  if (missing <= 0.1) return null;
  return Math.floor(missing * 0.75 * 10 + 1e-9) / 10 || 0.1;
}
