import type { Visit } from '@weskopos/contract';
import type { Inspection } from '@weskopos/core';

/** A visit as it begins: nothing found, nothing done, not signed. */
export function blankVisit(inspection: Inspection, inspector: string, given: Partial<Visit> = {}): Visit {
  return {
    inspection,
    findings: [],
    acts: [],
    inspector,
    signedBy: null,
    sheet: null,
    amendments: [],
    voidedBy: null,
    seal: null,
    ...given,
  };
}
