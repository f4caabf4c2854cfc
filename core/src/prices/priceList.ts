import type { WorkCode, WorkPart } from '../parts/work';

/** A part with what the workshop asks for one of it, in the list's currency, without tax. */
export interface PricedPart {
  /** The maker's or the shelf's; may be empty where the name says it. */
  readonly number: string;
  readonly name: string;
  readonly price: number;
}

/** How long a work takes here, min. */
export interface UsualTime {
  readonly code: WorkCode;
  readonly minutes: number;
}

/** What a workshop asks: its own list. Without one no price is told. */
export interface PriceList {
  /** ISO 4217, three letters. */
  readonly currency: string;
  /** 0 to 50. */
  readonly taxPercent: number;
  /** For an hour of work, without tax; null where work is not priced. */
  readonly hourRate: number | null;
  readonly parts: readonly PricedPart[];
  readonly times: readonly UsualTime[];
}

/** What a work comes to. */
export interface WorkCost {
  readonly parts: number;
  readonly labour: number;
  readonly tax: number;
  readonly total: number;
  /** Parts that are not on the list, by name; the total leaves them out and says so. */
  readonly unpriced: readonly string[];
  /** How long it takes is not known, or an hour has no price: the total leaves work out and says so. */
  readonly labourOpen: boolean;
}

const plain = (text: string) =>
  text
    .trim()
    .toLowerCase()
    .replace(/[\s-]+/g, '');

/** The line a part is on: by its number where it has one, else by its name; undefined where it is on none. */
export function pricedPart(
  { number, name }: Pick<WorkPart, 'number' | 'name'>,
  { parts }: PriceList,
): PricedPart | undefined {
  const byNumber = number.trim() === '' ? undefined : parts.find((one) => plain(one.number) === plain(number));
  return byNumber ?? parts.find((one) => plain(one.name) === plain(name));
}

/** To the cent. */
const cents = (amount: number) => Math.round((amount + Number.EPSILON) * 100) / 100;

/** What a work comes to by a list; null where nothing of it has a price. @param minutes as said of the work, else the list's usual time */
export function costOf(
  {
    task,
    parts,
    minutes,
  }: {
    readonly task: { readonly code: WorkCode };
    readonly parts: readonly WorkPart[];
    readonly minutes: number | null;
  },
  list: PriceList,
): WorkCost | null {
  const lines = parts.map((part) => ({ part, priced: pricedPart(part, list) }));
  const took = minutes ?? list.times.find(({ code }) => code === task.code)?.minutes ?? null;
  const labourOpen = took === null || list.hourRate === null;
  const priced = lines.filter((line) => line.priced !== undefined);
  if (priced.length === 0 && labourOpen) return null;
  const forParts = cents(priced.reduce((sum, line) => sum + (line.priced?.price ?? 0) * line.part.count, 0));
  const labour = labourOpen ? 0 : cents(((took ?? 0) / 60) * (list.hourRate ?? 0));
  const tax = cents(((forParts + labour) * list.taxPercent) / 100);
  return {
    parts: forParts,
    labour,
    tax,
    total: cents(forParts + labour + tax),
    unpriced: lines.filter((line) => line.priced === undefined).map(({ part }) => part.name),
    labourOpen,
  };
}
