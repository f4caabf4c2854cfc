import { checkMeter } from '../plausibility/checkMeter';
import type { MeterUnit } from '../vehicle/vehicle';

/** A moment at which a meter was read: here already, or by rows of a table. */
export interface MeterMoment {
  readonly at: string;
  readonly meter: number;
  /** It was asked about and answered: what it says stands. */
  readonly answered: boolean;
  /** The rows that tell it; none where it is here. */
  readonly rows: readonly number[];
}

/** Rows whose meter goes back, or too far. */
export interface MeterDoubt {
  readonly rows: readonly number[];
  readonly code: 'behind' | 'too-far';
  readonly meter: number;
  /** The reading it is odd beside, and whether that comes before it. */
  readonly beside: number;
  readonly isAfter: boolean;
}

/**
 * Holds meters that come in against those beside them, in order of time. What is odd is no measure for what comes behind
 * it; of one that is here and one that comes in, it is the one that comes in that is odd.
 */
export function meterDoubts(moments: readonly MeterMoment[], unit: MeterUnit): MeterDoubt[] {
  const doubts: MeterDoubt[] = [];
  const trusted: MeterMoment[] = [];
  for (const moment of [...moments].sort((a, b) => Date.parse(a.at) - Date.parse(b.at))) {
    let odd = false;
    for (let last = trusted.at(-1); last && !moment.answered; last = trusted.at(-1)) {
      const check = checkMeter(moment.meter, last, moment.at, unit);
      if (check.status !== 'doubtful') break;
      const { code } = check;
      if (moment.rows.length > 0) {
        doubts.push({ rows: moment.rows, code, meter: moment.meter, beside: last.meter, isAfter: true });
        odd = true;
        break;
      }
      if (last.rows.length === 0) break;
      doubts.push({ rows: last.rows, code, meter: last.meter, beside: moment.meter, isAfter: false });
      trusted.pop();
    }
    if (!odd) trusted.push(moment);
  }
  return doubts;
}
