import {
  BUNDLE_FORMAT,
  BUNDLE_RECORDS,
  BUNDLE_VERSION,
  MANIFEST,
  type BundleScope,
  type Manifest,
  type PhotoLine,
  type VisitLine,
} from '@weskopos/contract';
import canonicalize from 'canonicalize';
import { createReadStream, createWriteStream, existsSync } from 'node:fs';
import { once } from 'node:events';
import fs from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { Readable, type Writable } from 'node:stream';
import { finished } from 'node:stream/promises';
import type { Engine } from '../db/engine';
import type { PhotoFiles } from '../photos/photoFiles';
import { readVehicle } from '../vehicles/readVehicle';
import { bundleSchemas } from './bundleSchemas';
import { csvOf } from '../tables/csv';
import { PHOTO_COLUMNS, photoRows } from '../tables/photoTable';
import { TABLES_OUT, shownUnits } from '../tables/tables';
import { entryLines, keyLines, photoLines, rulebookLines, signatureLines, visitLines } from '../lines/readLines';
import { ZipWriter } from './zipWriter';

/** A bundle tells figures as they are stored. */
const STORED = shownUnits(null);

/** What a bundle is made from. */
export interface BundleSource {
  readonly engine: Engine;
  readonly photos: PhotoFiles;
  readonly clock: () => Date;
}

/** Photos asked for by one statement. */
const PHOTOS_AT_ONCE = 1000;

/** A record as one line: canonical JSON (RFC 8785), so that the same record is the same bytes. */
export const lineOf = (record: unknown): string => `${canonicalize(record)}\n`;

/**
 * Writes a bundle while it is sent: vehicle after vehicle, photo after photo. Rules and photos come after the visits that
 * name them, so that nothing a visit leans on is missing.
 *
 * @param ids of the vehicles, as {@link vehiclesIn} tells them
 */
export async function writeBundle(
  { engine, photos, clock }: BundleSource,
  scope: BundleScope,
  ids: readonly string[],
  to: Writable,
): Promise<void> {
  const made = clock();
  const zip = new ZipWriter(made, to);
  // Readings are told while visits are read, and sent after them.
  const spool = await fs.mkdtemp(path.join(os.tmpdir(), 'weskopos-bundle-'));
  try {
    await writeAll();
  } finally {
    await fs.rm(spool, { recursive: true, force: true });
  }

  async function writeAll(): Promise<void> {
    const shown = new Set<string>();
    // All of a vehicle at one moment: nobody signs between its entries and its sheet.
    const visitsOf = (id: string): Promise<VisitLine[]> =>
      engine.transaction((tx) =>
        scope.kind === 'visit' ? visitLines(tx, 'i.id = $1', scope.id) : visitLines(tx, 'i.vehicle_id = $1', id),
      );
    const csv = path.join(spool, 'readings.csv');
    const captions = path.join(spool, 'photos.csv');

    async function* vehicles() {
      for (const id of ids) yield lineOf(await readVehicle(engine, id));
    }
    async function* visits() {
      const rows = createWriteStream(csv);
      const shows = createWriteStream(captions);
      rows.write(csvOf([TABLES_OUT.readings.columns(STORED)]));
      shows.write(csvOf([PHOTO_COLUMNS]));
      for (const id of ids) {
        const vehicle = await readVehicle(engine, id);
        for (const visit of await visitsOf(id)) {
          const own = visit.findings.flatMap(({ photos: taken }) => taken.map(({ id: photo }) => photo));
          for (const one of own) shown.add(one);
          if (vehicle && own.length > 0) {
            const files = new Map((await photoLines(engine, own)).map((one) => [one.id, photoPath(one.sha256)]));
            shows.write(csvOf(photoRows(vehicle, visit, (photo) => files.get(photo) ?? null)));
          }
          if (
            vehicle &&
            !rows.write(csvOf(TABLES_OUT.readings.rows({ vehicle, visits: [visit], entries: [] }, STORED)))
          )
            await once(rows, 'drain');
          yield lineOf(visit);
        }
      }
      rows.end();
      shows.end();
      await Promise.all([finished(rows), finished(shows)]);
    }
    async function* signatures() {
      for (const id of ids)
        for (const line of scope.kind === 'visit'
          ? await signatureLines(engine, 'visit', scope.id)
          : await signatureLines(engine, 's.vehicle_id = $1', id))
          yield lineOf(line);
    }
    async function* entries() {
      if (scope.kind === 'visit') return;
      for (const id of ids) for (const line of await entryLines(engine, 'e.vehicle_id = $1', id)) yield lineOf(line);
    }
    await zip.add('vehicles.jsonl', Readable.from(vehicles()));
    await zip.add('visits.jsonl', Readable.from(visits()));
    await zip.add('entries.jsonl', Readable.from(entries()));
    await zip.add('signatures.jsonl', Readable.from(signatures()));
    await zip.add('keys.jsonl', Readable.from((await keyLines(engine)).map(lineOf)));
    await zip.add('readings.csv', createReadStream(csv));
    await zip.add('photos.csv', createReadStream(captions));
    await zip.add('rulebooks.jsonl', Readable.from((await rulebookLines(engine)).map(lineOf)));
    const kept: PhotoLine[] = [];
    const wanted = [...shown].sort();
    for (let at = 0; at < wanted.length; at += PHOTOS_AT_ONCE)
      kept.push(...(await photoLines(engine, wanted.slice(at, at + PHOTOS_AT_ONCE))));
    await zip.add('photos.jsonl', Readable.from(kept.map(lineOf)));
    const missing: string[] = [];
    const sent = new Set<string>();
    for (const { id, sha256 } of kept) {
      const file = photos.pathOf(sha256, 'full');
      if (!existsSync(file)) missing.push(id);
      else if (!sent.has(sha256)) await zip.add(photoPath(sha256), createReadStream(file), { compress: false });
      sent.add(sha256);
    }
    for (const [path, schema] of Object.entries(bundleSchemas()))
      await zip.add(path, Readable.from([`${JSON.stringify(schema, null, 2)}\n`]));
    const manifest: Manifest = {
      format: BUNDLE_FORMAT,
      version: BUNDLE_VERSION,
      made: made.toISOString(),
      scope,
      records: BUNDLE_RECORDS,
      entries: [...zip.entries],
      missing,
    };
    zip.end(MANIFEST, `${JSON.stringify(manifest, null, 2)}\n`);
  }
}

/** Where a photo lies in a bundle. */
export const photoPath = (sha256: string): string => `photos/${sha256}.jpg`;
