import type { Tx } from '../db/engine';
import { nameOf } from '../inspections/seals';
import { refused, takes, type Blanking, type Writer } from '../ledger/change';
import { signatureLines } from '../lines/readLines';
import { blankText, withoutKeeper } from '../signing/blanked';
import { keepSignatures, seal, type Sealed } from '../signing/signature';

/**
 * Takes out what is told of a vehicle's keeper: plate, VIN and what he said at arrival, in all visits and in what was
 * signed of them; his name and words where he answered, and his links. All that was found stays; which texts are shorter from then on is signed behind them.
 */
export const blankKeeper: Writer<Blanking, { readonly sealed?: Sealed }> = {
  async decide(tx, { by, operation }, { vehicleId, why }, { key }) {
    const [vehicle] = await tx.query('select 1 from vehicle where id = $1::uuid', [vehicleId]);
    if (!vehicle) return refused('no-vehicle');
    if (!key) return takes({});
    const chain = await signatureLines(tx, 's.vehicle_id = $1', vehicleId);
    const text = blankText(vehicleId, chain, { by: await nameOf(tx, by), at: operation.at, why });
    return takes({ sealed: await seal(tx, key, { ...text, vehicleId }) });
  },
  async effect(tx, { operation }, { vehicleId }, { sealed }) {
    await tx.query(`update vehicle set plate = '', vin = '' where id = $1::uuid`, [vehicleId]);
    await tx.query(
      `update inspection set complaint = '',
         sheet = case when sheet ? 'vehicle' then
           jsonb_set(jsonb_set(sheet, '{vehicle,plate}', '""'), '{vehicle,vin}', '""') else sheet end
       where vehicle_id = $1::uuid`,
      [vehicleId],
    );
    // What he was told and what he answered bears his name too; that he answered, and how, stays.
    await tx.query(
      `update life_entry set body = body || '{"keeper": "–", "words": ""}'::jsonb
       where vehicle_id = $1::uuid and kind = 'work-step' and body ->> 'keeper' <> ''`,
      [vehicleId],
    );
    await tx.query(
      `update keeper_link l set ended_at = coalesce(l.ended_at, $2::timestamptz),
         letter = jsonb_set(l.letter, '{vehicle}', to_jsonb(v.fleet_code))
       from vehicle v where v.id = l.vehicle_id and l.vehicle_id = $1::uuid`,
      [vehicleId, operation.at],
    );
    await shortenTexts(tx, vehicleId);
    if (sealed) await keepSignatures(tx, [sealed]);
  },
};

async function shortenTexts(tx: Tx, vehicleId: string): Promise<void> {
  const chain = await signatureLines(tx, 's.vehicle_id = $1', vehicleId);
  const rows = chain.map(({ hash, document }) => ({ hash, document: withoutKeeper(document) }));
  await tx.query(
    `update signature s set document = r.document from json_to_recordset($1::json) as r (hash text, document text)
     where s.hash = r.hash`,
    [JSON.stringify(rows)],
  );
}
