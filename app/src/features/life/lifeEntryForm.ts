import {
  JOB_CODES,
  LOGGED_FLUIDS,
  METER_RANGE,
  PART_KINDS,
  hubPlaces,
  jobKey,
  parseMeasure,
  tyresAtHub,
  type Job,
  type JobCode,
  type LifeEntryContent,
  type LoggedFluid,
  type PartKind,
  type Unit,
  type Vehicle,
  type Place,
} from '@weskopos/core';
import { addWeeks } from 'date-fns/addWeeks';
import type { Problems } from '../../controls/useCheckedForm';
import { parseDay, type TypedDay } from './parseDay';
import { words } from '@weskopos/words/en';
import { amount, houseRules, meterTypedUnit, meterWords } from '@weskopos/words/show';

export const FORM_KINDS = ['fuel', 'top-up', 'meter', 'job', 'fit', 'plan'] as const;
/** Weeks in which a coming trip will be done. */
export const WEEKS = ['2', '4', '8', '13'] as const;
export const TANK = ['full', 'partial'] as const;
export const FLUIDS_LOGGED = LOGGED_FLUIDS;
export const PARTS = PART_KINDS;
/** A job the sheet has no name for. */
export const OWN = 'own' satisfies JobCode;

const LITRES = { least: 0.01, most: 1000 } as const;
const PRICE_MOST = 100_000;
const FRESH = { least: 0.1, most: 60 } as const;
const TRIP = { least: 1, most: 200_000 } as const;
/** Jobs done axle by axle. */
export const ON_AXLE: readonly JobCode[] = ['axle-oil'];
const AT_WHEEL: readonly PartKind[] = ['tyre', 'pads', 'shoes', 'disc'];

/** What is typed and chosen of something that happened, or is coming. */
export interface EntryForm {
  kind: (typeof FORM_KINDS)[number];
  /** The day it was done; empty for now. */
  when: string;
  meter: string;
  litres: string;
  full: (typeof TANK)[number];
  price: string;
  fluid: LoggedFluid;
  /** By its key. */
  job: string | null;
  ownJob: string;
  /** What went in, and which paper tells of it. */
  jobLitres: string;
  numbers: string;
  paper: string;
  axle: Place | null;
  what: PartKind;
  place: Place | null;
  fresh: string;
  trip: string;
  weeks: (typeof WEEKS)[number];
  /** Asked whether a meter behind the last one is meant. */
  sure: boolean;
}

/** What an entry is checked against. */
export interface EntryFacts {
  readonly vehicle: Vehicle;
  /** Last meter known; null before any. */
  readonly lastMeter: number | null;
  /** ISO instant. */
  readonly now: string;
}

/** Jobs that can be written down, by their keys: those of the spec sheet first, in its words. */
export function jobsOf({ spec }: Vehicle): ReadonlyMap<string, Job> {
  const jobs = new Map(spec.intervals.map(({ job }) => [jobKey(job), job]));
  for (const code of JOB_CODES) if (code !== OWN && !jobs.has(code)) jobs.set(code, { code, name: '' });
  return jobs;
}

/** Where a part of a kind sits; none where a vehicle has one of it. */
export function placesOf(what: PartKind, { axles }: Vehicle): readonly string[] {
  if (!AT_WHEEL.includes(what)) return [];
  const hubs = hubPlaces(axles);
  return what === 'tyre' ? hubs.flatMap((hub) => tyresAtHub(axles, hub)) : hubs;
}

/** An entry with nothing typed yet. */
export function blankEntry(vehicle: Vehicle): EntryForm {
  const [job = null] = jobsOf(vehicle).keys();
  const chosen = { kind: 'fuel', full: 'full', fluid: 'engine-oil', what: 'tyre', weeks: '4' } as const;
  const typed = { when: '', meter: '', litres: '', price: '', fresh: '', trip: '' };
  const ofJob = { job, ownJob: '', jobLitres: '', numbers: '', paper: '', axle: null };
  return { ...chosen, ...typed, ...ofJob, place: null, sure: false };
}

/** What is wrong with an entry, by field; only fields of its kind count. */
export function entryProblems(form: EntryForm, { vehicle, lastMeter, now }: EntryFacts): Problems<EntryForm> {
  const told = words.entryForm;
  const { kind } = form;
  const { meterUnit } = vehicle;
  const typedUnit = meterTypedUnit(meterUnit);
  const range = METER_RANGE[meterUnit];
  const meter = figureIn(form.meter, typedUnit, range);
  const unlessFits = (text: string, unit: Unit, within: Range, words: string, mayBeEmpty = false) => {
    const read = figureIn(text, unit, within);
    return read === 'outside' || (read === null && !mayBeEmpty) ? words : undefined;
  };
  const meterRange = () => told.meterRange(range.least, meterWords(range.most, meterUnit), kind !== 'meter');
  const litres = () => told.howMuchRange(amount('volume', LITRES.least), amount('volume', LITRES.most));
  const far = () => told.howFarRange(meterWords(TRIP.least, meterUnit), meterWords(TRIP.most, meterUnit));
  // What was done long ago stands on a lower meter; what is done now does not.
  const isBehind = typeof meter === 'number' && lastMeter !== null && meter < lastMeter && form.when.trim() === '';
  const always = {
    when: kind === 'plan' ? undefined : whenProblem(parseDay(form.when, now, vehicle.year), vehicle.year),
    meter: meter === 'outside' || (meter === null && kind === 'meter') ? meterRange() : undefined,
    // Behind the last visit it may be told late, or misread: asked once, then kept.
    sure: isBehind && !form.sure ? told.behind(meterWords(lastMeter, meterUnit)) : undefined,
  };
  switch (kind) {
    case 'fuel':
      return {
        ...always,
        litres: unlessFits(form.litres, houseRules().units.volume, LITRES, litres()),
        price: unlessFits(form.price, 'step', { least: 0, most: PRICE_MOST }, told.priceRange(PRICE_MOST), true),
      };
    case 'top-up':
      return { ...always, litres: unlessFits(form.litres, houseRules().units.volume, LITRES, litres()) };
    case 'meter':
      return always;
    case 'job':
      return {
        ...always,
        ownJob: form.job === OWN && form.ownJob.trim() === '' ? told.whatDoneRange : undefined,
        jobLitres: unlessFits(form.jobLitres, houseRules().units.volume, LITRES, litres(), true),
      };
    case 'plan':
      return { ...always, trip: unlessFits(form.trip, typedUnit, TRIP, far()) };
    case 'fit':
      return {
        ...always,
        place: placesOf(form.what, vehicle).length > 0 && form.place === null ? told.chooseWheel : undefined,
        fresh: unlessFits(form.fresh, 'mm', FRESH, told.whenNewRange(FRESH.most), true),
      };
  }
}

/** What is wrong with a typed day; undefined where nothing is. */
export function whenProblem(read: TypedDay, year: number): string | undefined {
  const told = words.entryForm;
  switch (read.status) {
    case 'unreadable':
      return told.whenRange;
    case 'future':
      return told.whenFuture;
    case 'too-early':
      return told.whenTooEarly(year);
    default:
      return undefined;
  }
}

/** When what a form without problems tells was done, ISO instant. */
export function whenOf({ when, kind }: EntryForm, { year }: Vehicle, now: string): string {
  const read = kind === 'plan' ? undefined : parseDay(when, now, year);
  return read?.status === 'day' ? read.at : now;
}

interface Range {
  readonly least: number;
  readonly most: number;
}

/** What is typed, as stored; null where nothing is; `outside` where it is no number or one outside the range. */
export function figureIn(text: string, unit: Unit, { least, most }: Range): number | null | 'outside' {
  const read = parseMeasure(text, unit);
  if (read.status === 'empty') return null;
  return read.status === 'value' && read.stored >= least && read.stored <= most ? read.stored : 'outside';
}

function figure(text: string, unit: Unit): number | null {
  const read = parseMeasure(text, unit);
  return read.status === 'value' ? read.stored : null;
}

/** The meter of a form without problems, in the vehicle's unit; null where none is told. */
export const meterOf = ({ meter }: EntryForm, { meterUnit }: Vehicle) => figure(meter, meterTypedUnit(meterUnit));

/** What a form without problems says. @param now ISO instant */
export function contentOf(form: EntryForm, vehicle: Vehicle, now: string): LifeEntryContent {
  const { kind } = form;
  const litres = figure(form.litres, houseRules().units.volume) ?? 0;
  switch (kind) {
    case 'fuel':
      return { kind, litres, full: form.full === 'full', price: figure(form.price, 'step') };
    case 'top-up':
      return { kind, fluid: form.fluid, litres };
    case 'meter':
      return { kind };
    case 'job': {
      const own: Job = { code: OWN, name: form.ownJob.trim() };
      const job = form.job === OWN ? own : (jobsOf(vehicle).get(form.job ?? '') ?? own);
      return {
        kind,
        job,
        place: ON_AXLE.includes(job.code) ? (form.axle ?? '') : '',
        litres: figure(form.jobLitres, houseRules().units.volume),
        numbers: form.numbers.trim(),
        paper: form.paper.trim(),
      };
    }
    case 'plan': {
      const until = addWeeks(new Date(now), Number(form.weeks)).toISOString();
      return { kind, distance: figure(form.trip, meterTypedUnit(vehicle.meterUnit)) ?? 0, until };
    }
    case 'fit': {
      const { what } = form;
      const place = placesOf(what, vehicle).length > 0 ? (form.place ?? '') : '';
      return { kind, what, place, fresh: figure(form.fresh, 'mm'), note: '' };
    }
  }
}
