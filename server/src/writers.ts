import { entryOf } from '@weskopos/core';
import { putAmendment } from './inspections/amendmentWriter';
import { correctInspection } from './inspections/correctionWriter';
import { restoreInspection, voidInspection } from './inspections/voidWriter';
import { putAct } from './inspections/actWriter';
import { putFinding } from './inspections/findingWriter';
import { signInspection } from './inspections/signWriter';
import { startInspection } from './inspections/startWriter';
import type { Change, Writer } from './ledger/change';
import type { Writers } from './ledger/settle';
import { addPerson, changePerson, setSecret } from './people/personWriter';
import { addPhoto } from './photos/photoWriter';
import { putRulebook } from './rules/rulebookWriter';
import { putLifeEntry } from './inspections/lifeEntryWriter';
import { putVehicle } from './vehicles/vehicleWriter';

type Kind = Change['operation']['kind'];
type BodyOf<K extends Kind> = Extract<Change['operation'], { readonly kind: K }>['body'];

const BY_KIND: { readonly [K in Kind]: Writer<BodyOf<K>> } = {
  'vehicle.put': putVehicle,
  'inspection.start': startInspection,
  'finding.put': putFinding,
  'inspection.sign': signInspection,
  'inspection.void': voidInspection,
  'inspection.restore': restoreInspection,
  'inspection.correct': correctInspection,
  'amendment.put': putAmendment,
  'act.put': putAct,
  'entry.put': putLifeEntry,
  'rulebook.put': putRulebook,
  'person.add': addPerson,
  'person.change': changePerson,
  'person.secret': setSecret,
  'photo.add': addPhoto,
};

/** How each kind of change is taken; undefined for a kind this program does not know. */
export const WRITERS: Writers = {
  of: (kind) => entryOf<Writer<never>>(BY_KIND, kind),
};
