import { BLANK_SPEC, DRY, PLAIN_AXLE, USUAL_HOUSE_RULES, USUAL_MAKE_UP } from '@weskopos/core';

type Raw = Record<string, unknown>;
const isRaw = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);
const mapped = (list: unknown, change: (item: unknown) => unknown) => (Array.isArray(list) ? list.map(change) : list);

/**
 * Lifts a finding of an older app to today's shape, what is missing told as not said. Queues on devices and journals
 * hold such for as long as somebody was offline. Anything else passes through to be checked.
 */
export function upgradeFinding(raw: unknown): unknown {
  const lifted = upgradeLeak(raw);
  // Before there were states to be read in, nothing was known against a reading.
  return isRaw(lifted) && !('outOf' in lifted) ? { ...lifted, outOf: [] } : lifted;
}

function upgradeLeak(raw: unknown): unknown {
  if (!isRaw(raw) || !('leak' in raw)) return raw;
  const { leak, readings, photos, ...rest } = raw;
  return {
    ...rest,
    readings: mapped(readings, (reading) => (isRaw(reading) ? { bound: 'exact', ...reading } : reading)),
    photos: mapped(photos, (photo) => (typeof photo === 'string' ? { id: photo, caption: '', marks: [] } : photo)),
    leaks: isRaw(leak) ? [{ ...DRY, ...leak }] : [],
    counts: [],
    codes: [],
    howRead: null,
    standard: null,
    override: null,
    carried: null,
    inOneStroke: false,
  };
}

/** The same for an inspection: the meter was always an odometer, the template the first fourteen points. */
export function upgradeInspection(raw: unknown): unknown {
  const lifted = upgradeMeter(raw);
  return isRaw(lifted) && 'meter' in lifted
    ? { stoodH: null, fuel: null, signedOver: null, ahead: null, corners: [], ...lifted }
    : lifted;
}

function upgradeMeter(raw: unknown): unknown {
  if (!isRaw(raw) || !('meterKm' in raw)) return raw;
  const { meterKm, limitSheet: _limitSheet, ...rest } = raw;
  return { ...rest, meter: meterKm, load: 'light', rulebook: 0, template: 'first-fourteen', focus: null };
}

/** The same for a vehicle: only the first axle steers and is driven, everything else as usual. */
export function upgradeVehicle(raw: unknown): unknown {
  if (!isRaw(raw) || 'makeUp' in raw) return raw;
  return {
    ...raw,
    vin: '',
    meterUnit: 'km',
    makeUp: USUAL_MAKE_UP,
    spec: BLANK_SPEC,
    axles: mapped(raw.axles, (axle) => (isRaw(axle) ? { ...PLAIN_AXLE, ...axle } : axle)),
  };
}

/** The same for a rulebook: a house that was not asked yet follows what is usual. */
function upgradeRulebook(raw: unknown): unknown {
  if (!isRaw(raw) || !isRaw(raw.house)) return raw;
  return { ...raw, house: { lookAhead: USUAL_HOUSE_RULES.lookAhead, repeatability: {}, ...raw.house } };
}

const UPGRADES: Readonly<Record<string, (body: unknown) => unknown>> = {
  'vehicle.put': upgradeVehicle,
  'inspection.start': upgradeInspection,
  'finding.put': upgradeFinding,
  'rulebook.put': upgradeRulebook,
};

/** An operation as today's readers take it: queues and journals may hold what an older app wrote down. */
export function upgradeOperation<Op extends { readonly kind: string; readonly body: unknown }>(operation: Op): Op {
  const upgrade = UPGRADES[operation.kind];
  return upgrade ? { ...operation, body: upgrade(operation.body) } : operation;
}
