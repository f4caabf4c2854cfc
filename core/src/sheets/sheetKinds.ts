import type { MeasureCode } from '../catalogue/measures';
import type { PointCode } from '../catalogue/catalogue';
import type { Spot } from '../catalogue/points/point';
import type { Unit } from '../units/units';
import type { Place } from '../vehicle/vehicle';

/** What a table that is brought in can be of. */
export const SHEET_KINDS = ['readings', 'log', 'jobs', 'parts', 'vehicles'] as const;
/** What a table is of. */
export type SheetKind = (typeof SHEET_KINDS)[number];

/** One thing a column can say: how headings call it, and the unit its figures are in where nobody says another. */
interface FieldOf {
  /** A row without it is refused. */
  readonly needed?: true;
  readonly unit?: Unit;
  /** As headings spell it, in plain letters; the field's own name is one by itself. */
  readonly spelt: readonly string[];
}

const VEHICLE = {
  needed: true,
  spelt: ['fleet code', 'fleet', 'fleet no', 'unit', 'truck', 'car', 'plate', 'reg', 'registration', 'fahrzeug'],
} as const;
const AT = {
  needed: true,
  spelt: ['date', 'day', 'started at', 'when', 'inspected', 'done', 'read at', 'datum', 'time'],
} as const;
const METER = {
  unit: 'km',
  spelt: [
    'odometer',
    'odo',
    'mileage',
    'miles',
    'kilometres',
    'km',
    'hours',
    'hour meter',
    'kilometerstand',
    'km stand',
  ],
} as const;
const NOTE = { spelt: ['notes', 'remark', 'remarks', 'comment', 'bemerkung'] } as const;
const BY = { spelt: ['read by', 'inspector', 'mechanic', 'technician', 'name', 'who', 'started by'] } as const;
const PLACE = { spelt: ['position', 'pos', 'wheel', 'corner', 'axle', 'where', 'location'] } as const;
const LITRES = {
  unit: 'L',
  spelt: ['litres', 'liters', 'volume', 'quantity', 'qty', 'gallons', 'liter', 'l'],
} as const;

/** What the columns of each kind of table can say. */
export const SHEET_FIELDS = {
  readings: {
    vehicle: VEHICLE,
    at: AT,
    meter: { ...METER, needed: true },
    visit: { spelt: ['inspection', 'visit no', 'job no', 'order'] },
    point: { spelt: ['item', 'component', 'check', 'part'] },
    place: PLACE,
    measure: { spelt: ['quantity', 'what', 'kind'] },
    spot: { spelt: ['across', 'edge', 'side of tyre'] },
    value: { spelt: ['reading', 'figure', 'measured', 'result', 'wert'] },
    unit: { spelt: ['units', 'uom', 'einheit'] },
    bound: { spelt: ['more or less'] },
    gaugeStep: { spelt: ['gauge', 'resolution', 'step'] },
    by: BY,
    note: NOTE,
  },
  log: {
    vehicle: VEHICLE,
    at: AT,
    meter: METER,
    kind: { spelt: ['type', 'entry', 'what'] },
    litres: LITRES,
    full: { spelt: ['full tank', 'filled up', 'tank full', 'voll'] },
    price: { spelt: ['cost', 'total', 'amount', 'paid', 'preis'] },
    fluid: { spelt: ['product', 'fluids', 'topped up with'] },
    by: BY,
  },
  jobs: {
    vehicle: VEHICLE,
    at: AT,
    meter: METER,
    job: { needed: true, spelt: ['work', 'service', 'task', 'description', 'operation', 'what', 'arbeit'] },
    place: PLACE,
    litres: LITRES,
    numbers: { spelt: ['part numbers', 'parts', 'part number', 'part no', 'grade', 'teile'] },
    paper: { spelt: ['invoice', 'document', 'source', 'told by', 'rechnung', 'order no'] },
    by: BY,
  },
  parts: {
    vehicle: VEHICLE,
    at: AT,
    meter: METER,
    what: { needed: true, spelt: ['part', 'kind', 'component', 'item'] },
    place: PLACE,
    fresh: { unit: 'mm', spelt: ['new value', 'new', 'depth', 'tread', 'thickness', 'when new', 'fitted depth'] },
    note: { spelt: [...NOTE.spelt, 'make', 'brand', 'size'] },
    by: BY,
  },
  vehicles: {
    fleetCode: { needed: true, spelt: ['fleet code', 'fleet', 'fleet no', 'code', 'unit', 'number', 'vehicle'] },
    plate: { spelt: ['reg', 'registration', 'number plate', 'license plate', 'kennzeichen'] },
    vin: { spelt: ['chassis number', 'chassis no', 'chassis', 'frame number'] },
    make: { spelt: ['maker', 'manufacturer', 'hersteller'] },
    model: { spelt: ['type', 'variant', 'modell'] },
    year: { needed: true, spelt: ['built', 'first registered', 'model year', 'baujahr'] },
    class: { needed: true, spelt: ['category', 'vehicle class', 'body type', 'klasse'] },
    use: { spelt: ['used for', 'driver', 'department', 'duty'] },
    meterUnit: { spelt: ['counts', 'meter counts', 'meter unit'] },
    axles: { spelt: ['axle count', 'number of axles', 'achsen'] },
    power: { spelt: ['fuel', 'engine', 'drive energy', 'kraftstoff'] },
    gearbox: { spelt: ['transmission'] },
    drive: { spelt: ['driven axles', 'drivetrain'] },
    tyreSize: { spelt: ['tyres', 'tyre', 'tire size', 'tires', 'reifen'] },
    frontPressure: { unit: 'kPa', spelt: ['pressure front', 'front tyre pressure', 'front placard'] },
    rearPressure: { unit: 'kPa', spelt: ['pressure rear', 'rear tyre pressure', 'rear placard'] },
    frontDiscMinimum: { unit: 'mm', spelt: ['front disc min', 'disc minimum front', 'min disc front'] },
    rearDiscMinimum: { unit: 'mm', spelt: ['rear disc min', 'disc minimum rear', 'min disc rear'] },
    brakeFluid: { spelt: ['brake fluid grade', 'bremsfluessigkeit'] },
    oilGrade: { spelt: ['engine oil', 'oil', 'oil spec', 'motoroel'] },
    oilCapacity: { unit: 'L', spelt: ['engine oil capacity', 'oil litres', 'oil volume', 'oil qty'] },
    wheelTorque: { unit: 'N·m', spelt: ['wheel bolt torque', 'wheel nut torque', 'lug torque', 'wheel bolts'] },
  },
} as const satisfies Record<SheetKind, Readonly<Record<string, FieldOf>>>;

/** A field of some kind of table. */
export type SheetField = { [K in SheetKind]: keyof (typeof SHEET_FIELDS)[K] & string }[SheetKind];

/** The fields of one kind of table. */
export function fieldsOf(kind: SheetKind): Readonly<Partial<Record<SheetField, FieldOf>>> {
  return SHEET_FIELDS[kind];
}

/** Where the figures of a column were read, in a table with one row a visit. */
export interface ReadingAt {
  readonly point: PointCode;
  readonly place: Place;
  readonly measure: MeasureCode;
  readonly spot: Spot;
}

/** What a column says: nothing that is taken, a field of its table, or the figures of one place. */
export interface SheetColumn {
  readonly field: SheetField | 'reading' | null;
  /** Unit of its bare figures; null for the one that is usual. */
  readonly unit: Unit | null;
  /** For `reading`: where. */
  readonly at: ReadingAt | null;
}

/** A column nothing is taken of. */
export const NO_COLUMN: SheetColumn = { field: null, unit: null, at: null };
