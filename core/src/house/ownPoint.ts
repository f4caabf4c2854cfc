import { CATALOGUE, type PointCode } from '../catalogue/catalogue';
import type { OwnStation } from '../catalogue/points/own';

/** A point of the catalogue kept free for the workshop. */
export type OwnCode = Extract<PointCode, `own.${string}`>;
export const OWN_CODES: readonly OwnCode[] = CATALOGUE.filter(({ own }) => own).map(({ code }) => code as OwnCode);

const codes = new Set<string>(OWN_CODES);
/** Whether a point is one the workshop names itself. */
export const isOwnCode = (code: PointCode): code is OwnCode => codes.has(code);

export const OWN_NAME_MOST = 60;
export const OWN_LOOK_MOST = 200;

/** What the workshop says of a point of its own. */
export interface OwnPoint {
  /** 1 to 60 characters. */
  readonly name: string;
  /** What to look for, shown at the step; at most 200 characters. */
  readonly look: string;
}

/** The workshop's own points by their code; one that was ever named keeps its name for the visits that hold it. */
export type OwnPoints = Readonly<Partial<Record<OwnCode, OwnPoint>>>;

/** The next point of a station that nobody has named; null once all are. */
export function freeOwnPoint(points: OwnPoints, station: OwnStation): OwnCode | null {
  return OWN_CODES.find((code) => code.startsWith(`own.${station}.`) && points[code] === undefined) ?? null;
}
