import {
  BUNDLE_FORMAT,
  BUNDLE_LINES,
  BUNDLE_RECORDS,
  BUNDLE_VERSION,
  MANIFEST,
  PHOTO_LIMITS,
  fieldErrors,
  liftLine,
  manifestSchema,
  type BundleFile,
  type BundleLine,
  type FieldError,
  type Manifest,
} from '@weskopos/contract';
import { typedKeys } from '@weskopos/core';
import { createInterface } from 'node:readline';
import { buffer, text } from 'node:stream/consumers';
import { BundleRefused, MOST_FAULTS } from './bundleProblem';
import { ZipReader, type EntryLimits } from './zipReader';

const PHOTO = /^photos\/([0-9a-f]{64})\.jpg$/;
const FILES = typedKeys(BUNDLE_LINES);
const BESIDE = [
  'readings.csv',
  'photos.csv',
  MANIFEST,
  ...[...FILES, 'manifest'].map((name) => `schema/${name}.schema.json`),
];
const fileOf = (name: BundleFile) => `${name}.jsonl`;

/** One vehicle's life of twenty years is some megabytes; a workshop of a thousand some gigabytes. */
const MOST_LINES_BYTES = 32e9;
/** Every photo names itself in it: a hundred bytes each. */
const MOST_MANIFEST_BYTES = 500e6;
/** A visit of six hundred points, each told ten times. */
const MOST_LINE = 20e6;

const LIMITS: EntryLimits = {
  isKnown: (path) => PHOTO.test(path) || BESIDE.includes(path) || FILES.some((file) => path === fileOf(file)),
  mostBytes: (path) =>
    PHOTO.test(path) ? PHOTO_LIMITS.mostBytes : path === MANIFEST ? MOST_MANIFEST_BYTES : MOST_LINES_BYTES,
};

/** A bundle whose manifest holds: every entry is named, there, and of the hash that was told. */
export class Bundle {
  private constructor(
    private readonly zip: ZipReader,
    readonly manifest: Manifest,
  ) {}

  /** Opens an archive and checks it whole. Throws {@link BundleRefused}. */
  static async open(file: string): Promise<Bundle> {
    const zip = await ZipReader.open(file, LIMITS);
    try {
      const manifest = await manifestOf(zip);
      await holds(zip, manifest);
      return new Bundle(zip, manifest);
    } catch (error) {
      zip.close();
      throw error;
    }
  }

  /**
   * The records of one file, each lifted and checked. Throws {@link BundleRefused} with the first faults by line and field,
   * once all lines were looked at.
   */
  async *lines<F extends BundleFile>(file: F): AsyncGenerator<BundleLine<F>> {
    const path = fileOf(file);
    if (!this.zip.has(path)) return;
    const faults: FieldError[] = [];
    let at = 0;
    for await (const line of shortLines(await this.zip.content(path), path)) {
      at += 1;
      const found = this.understood(file, line, `${path}, line ${at}`);
      if ('record' in found) {
        if (faults.length === 0) yield found.record;
      } else faults.push(...found.faults);
      if (faults.length >= MOST_FAULTS) break;
    }
    if (faults.length > 0) throw new BundleRefused('bundle-lines', path, faults.slice(0, MOST_FAULTS));
  }

  hasPhoto(sha256: string): boolean {
    return this.zip.has(`photos/${sha256}.jpg`);
  }

  async photo(sha256: string): Promise<Buffer> {
    return buffer(await this.zip.content(`photos/${sha256}.jpg`));
  }

  close(): void {
    this.zip.close();
  }

  private understood<F extends BundleFile>(
    file: F,
    line: string,
    where: string,
  ): { readonly record: BundleLine<F> } | { readonly faults: readonly FieldError[] } {
    const raw = parsed(line);
    if (raw === undefined) return { faults: [{ field: where, code: 'no-json', message: 'one JSON object' }] };
    const checked = BUNDLE_LINES[file].safeParse(liftLine(file, raw, this.manifest.records));
    if (checked.success) return { record: checked.data as BundleLine<F> };
    return { faults: fieldErrors(checked.error).map((one) => ({ ...one, field: `${where}: ${one.field}` })) };
  }
}

/** Lines no longer than a record can be: what has no end is not held in memory until there is none. */
async function* shortLines(content: NodeJS.ReadableStream, path: string): AsyncGenerator<string> {
  let since = 0;
  content.on('data', (chunk: Buffer) => {
    const end = chunk.lastIndexOf(10);
    since = end < 0 ? since + chunk.length : chunk.length - end;
    if (since > MOST_LINE) (content as NodeJS.ReadableStream & { destroy(error: Error): void }).destroy(tooLong);
  });
  const tooLong = new BundleRefused('bundle-too-large', path);
  const lines = createInterface({ input: content, crlfDelay: Infinity });
  content.on('error', (error: Error) => lines.emit('error', error));
  for await (const line of lines) if (line !== '') yield line;
}

function parsed(line: string): unknown {
  try {
    return JSON.parse(line);
  } catch {
    // Told with its place by who asked.
    return undefined;
  }
}

async function manifestOf(zip: ZipReader): Promise<Manifest> {
  if (!zip.has(MANIFEST)) throw new BundleRefused('bundle-no-manifest', MANIFEST);
  const raw = parsed(await text(await zip.content(MANIFEST))) as Partial<Manifest> | undefined;
  if (raw?.format !== BUNDLE_FORMAT) throw new BundleRefused('bundle-no-manifest', 'format');
  if (typeof raw.version === 'number' && raw.version > BUNDLE_VERSION)
    throw new BundleRefused('bundle-newer', `version ${raw.version}, known up to ${BUNDLE_VERSION}`);
  const checked = manifestSchema.safeParse(raw);
  if (!checked.success) throw new BundleRefused('bundle-no-manifest', MANIFEST, fieldErrors(checked.error));
  for (const record of typedKeys(BUNDLE_RECORDS)) {
    const [there, known] = [checked.data.records[record], BUNDLE_RECORDS[record]];
    if (there > known) throw new BundleRefused('bundle-newer', `${record} of version ${there}, known up to ${known}`);
  }
  return checked.data;
}

async function holds(zip: ZipReader, { entries }: Manifest): Promise<void> {
  const named = new Map(entries.map((entry) => [entry.path, entry]));
  for (const path of zip.paths)
    if (path !== MANIFEST && !named.has(path)) throw new BundleRefused('bundle-entry-unnamed', path);
  for (const { path, bytes, sha256 } of entries) {
    if (!zip.has(path)) throw new BundleRefused('bundle-entry-missing', path);
    const [photo] = PHOTO.exec(path)?.slice(1) ?? [];
    // A photo is called by its hash: its name, the manifest and its bytes agree.
    if (zip.sizeOf(path) !== bytes || (photo !== undefined && photo !== sha256) || (await zip.hashOf(path)) !== sha256)
      throw new BundleRefused('bundle-hash', path);
  }
}
