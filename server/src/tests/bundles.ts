import { createWriteStream } from 'node:fs';
import fs from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import { pipeline } from 'node:stream/promises';
import yauzl from 'yauzl';
import { ZipFile } from 'yazl';
import type { Answer, Client } from './workshop';

/** The entries of an archive, by their names. */
export type Entries = ReadonlyMap<string, Buffer>;

/** An archive as the server sends it. */
export async function fetchBundle({ base, cookie }: Client, url = '/api/bundle'): Promise<Buffer> {
  const response = await fetch(base + url, { headers: { cookie } });
  if (!response.ok) throw new Error(`no bundle: ${response.status} ${await response.text()}`);
  return Buffer.from(await response.arrayBuffer());
}

export const sendBundle = (client: Client, archive: Buffer): Promise<Answer> =>
  client.send('POST', '/api/imports', archive, { 'content-type': 'application/zip' });

export const takeBundle = (client: Client, id: string, keepOurs = false): Promise<Answer> =>
  client.send('POST', `/api/imports/${id}`, { keepOurs });

/** What is in an archive. */
export function unzipped(archive: Buffer): Promise<Entries> {
  const entries = new Map<string, Buffer>();
  return new Promise((resolve, reject) =>
    yauzl.fromBuffer(archive, { lazyEntries: true }, (error, zip) => {
      if (error) return reject(error);
      zip.on('end', () => resolve(entries));
      zip.on('entry', (entry: yauzl.Entry) =>
        zip.openReadStream(entry, (failed, stream) => {
          if (failed) return reject(failed);
          buffer(stream).then((bytes) => {
            entries.set(entry.fileName, bytes);
            zip.readEntry();
          }, reject);
        }),
      );
      zip.readEntry();
    }),
  );
}

/** An archive of these entries, in their order. */
export async function zipped(entries: Iterable<readonly [string, Buffer | string]>): Promise<Buffer> {
  const zip = new ZipFile();
  for (const [name, content] of entries) zip.addBuffer(Buffer.from(content), name);
  zip.end();
  return buffer(zip.outputStream);
}

/** The lines of one file. */
export const linesOf = (entries: Entries, file: string) =>
  (entries.get(`${file}.jsonl`)?.toString('utf8') ?? '')
    .split('\n')
    .filter((line) => line !== '')
    .map((line) => JSON.parse(line));

/** A file of its own with these bytes, for a program that reads files. */
export async function asFile(name: string, bytes: Buffer): Promise<string> {
  const file = path.join(await fs.mkdtemp(path.join(os.tmpdir(), 'weskopos-test-')), name);
  await pipeline([bytes], createWriteStream(file));
  return file;
}
