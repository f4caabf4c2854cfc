import { createHash } from 'node:crypto';
import { PassThrough, Transform, type Readable } from 'node:stream';
import { finished } from 'node:stream/promises';
import yauzl from 'yauzl';
import { BundleRefused } from './bundleProblem';

/** What an entry of an archive may be. */
export interface EntryLimits {
  /** Whether it may be there at all, by its path. */
  readonly isKnown: (path: string) => boolean;
  /** Most bytes it may unfold to, by its path. */
  readonly mostBytes: (path: string) => number;
}

/** Text shrinks to a tenth; what unfolds to more than this many times its size was made to fill a disk. */
const MOST_UNFOLDING = 300;
/** Below this many bytes nobody minds how much it unfolded. */
const SMALL = 1_000_000;

/** An archive on disk, its names and sizes looked at before anything of it is read. */
export class ZipReader {
  private constructor(
    private readonly zip: yauzl.ZipFile,
    private readonly entries: ReadonlyMap<string, yauzl.Entry>,
  ) {}

  /** Throws {@link BundleRefused} naming the entry that may not be there. */
  static async open(file: string, limits: EntryLimits): Promise<ZipReader> {
    const zip = await opened(file);
    try {
      return new ZipReader(zip, await entriesOf(zip, limits));
    } catch (error) {
      zip.close();
      throw error;
    }
  }

  get paths(): Iterable<string> {
    return this.entries.keys();
  }

  has(path: string): boolean {
    return this.entries.has(path);
  }

  /** Bytes an entry says it unfolds to. */
  sizeOf(path: string): number {
    return this.entries.get(path)?.uncompressedSize ?? 0;
  }

  /** An entry's content; it fails where it is not as long as it said. */
  async content(path: string): Promise<Readable> {
    const entry = this.entries.get(path);
    if (!entry) throw new BundleRefused('bundle-entry-missing', path);
    return new Promise((resolve, reject) =>
      this.zip.openReadStream(entry, (error, stream) => {
        if (error) return reject(new BundleRefused('bundle-truncated', path));
        // What cannot be unfolded is told with the entry it is in.
        const told = new PassThrough();
        stream.on('error', () => told.destroy(new BundleRefused('bundle-truncated', path)));
        resolve(stream.pipe(told));
      }),
    );
  }

  /** The hash of an entry's content. */
  async hashOf(path: string): Promise<string> {
    const hash = createHash('sha256');
    const counting = new Transform({
      transform(chunk: Buffer, _encoding, done) {
        hash.update(chunk);
        done();
      },
    });
    const content = await this.content(path);
    content.on('error', (error) => counting.destroy(error));
    content.pipe(counting).resume();
    await finished(counting);
    return hash.digest('hex');
  }

  close(): void {
    this.zip.close();
  }
}

function opened(file: string): Promise<yauzl.ZipFile> {
  return new Promise((resolve, reject) =>
    yauzl.open(file, { lazyEntries: true, autoClose: false, strictFileNames: true }, (error, zip) =>
      error ? reject(new BundleRefused('bundle-no-zip', error.message)) : resolve(zip),
    ),
  );
}

function entriesOf(zip: yauzl.ZipFile, limits: EntryLimits): Promise<Map<string, yauzl.Entry>> {
  const entries = new Map<string, yauzl.Entry>();
  return new Promise((resolve, reject) => {
    // A name that leads out of its folder is refused by the package itself, as a fault of the archive.
    zip.on('error', (error: Error) => reject(new BundleRefused('bundle-name', error.message)));
    zip.on('end', () => resolve(entries));
    zip.on('entry', (entry: yauzl.Entry) => {
      const { fileName: path } = entry;
      const fault = faultOf(entry, limits, entries.has(path));
      if (fault) return reject(fault);
      entries.set(path, entry);
      zip.readEntry();
    });
    zip.readEntry();
  });
}

function faultOf(entry: yauzl.Entry, limits: EntryLimits, twice: boolean): BundleRefused | null {
  const { fileName: path, uncompressedSize: bytes, compressedSize } = entry;
  if (twice) return new BundleRefused('bundle-twice', path);
  if (!limits.isKnown(path)) return new BundleRefused('bundle-name', path);
  const bomb = bytes > SMALL && bytes > compressedSize * MOST_UNFOLDING;
  if (bomb || bytes > limits.mostBytes(path)) return new BundleRefused('bundle-too-large', path);
  return null;
}
