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
import { addSignature } from './bundle/addSignature';
import { noteAudit } from './audit/audit';
import { endCalendar, giveCalendar } from './calendars/calendarWriters';
import { putPrices } from './prices/priceWriter';
import { endLink, giveLink } from './links/linkWriters';
import { blankKeeper } from './keeper/blankKeeper';
import { endToken, giveToken } from './people/tokens';
import { addPhoto } from './photos/photoWriter';
import { putRulebook } from './rules/rulebookWriter';
import { putLifeEntry } from './inspections/lifeEntryWriter';
import { takeBundle } from './bundle/takeBundle';
import { putVehicle } from './vehicles/vehicleWriter';

type Kind = Change['operation']['kind'];
type BodyOf<K extends Kind> = Extract<Change['operation'], { readonly kind: K }>['body'];

const BY_KIND: { readonly [K in Exclude<Kind, 'bundle.take'>]: Writer<BodyOf<K>> } = {
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
  'signature.add': addSignature,
  'token.give': giveToken,
  'token.end': endToken,
  'audit.note': noteAudit,
  'keeper.blank': blankKeeper,
  'link.give': giveLink,
  'link.end': endLink,
  'prices.put': putPrices,
  'calendar.give': giveCalendar,
  'calendar.end': endCalendar,
};

/**
 * How each kind of change is taken; undefined for a kind this program does not know.
 *
 * @param imports folder of what was taken from bundles
 */
export function writersWith(imports: string): Writers {
  const writers: Writers = {
    of: (kind) => (kind === 'bundle.take' ? take : entryOf<Writer<never>>(BY_KIND, kind)),
  };
  const take = takeBundle(() => writers, imports);
  return writers;
}
