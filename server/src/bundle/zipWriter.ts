import { createHash } from 'node:crypto';
import { type Readable, Transform, type Writable } from 'node:stream';
import { finished } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import type { Manifest } from '@weskopos/contract';

type Entry = Manifest['entries'][number];

/** A ZIP that is written while it is sent: one entry after the other, nothing of it kept in memory. */
export class ZipWriter {
  private readonly zip = new ZipFile();
  private readonly written: Entry[] = [];

  /** @param made the moment every entry bears */
  constructor(
    private readonly made: Date,
    private readonly to: Writable,
  ) {
    this.zip.outputStream.pipe(to);
    // Who left takes nothing more: what is being added ends too.
    to.once('close', () => this.current?.destroy());
  }
  private current: Transform | null = null;

  /** What was written so far. */
  get entries(): readonly Entry[] {
    return this.written;
  }

  /**
   * Adds an entry and waits until all of it is on its way. Rejects when who takes it has left.
   *
   * @param compress left out for what is compressed already
   */
  async add(path: string, content: Readable, { compress = true } = {}): Promise<void> {
    if (this.to.destroyed) throw new Error('who took the archive has left');
    const hash = createHash('sha256');
    let bytes = 0;
    const counted = new Transform({
      transform(chunk: Buffer, _encoding, done) {
        hash.update(chunk);
        bytes += chunk.length;
        done(null, chunk);
      },
    });
    this.current = counted;
    content.once('error', (error) => counted.destroy(error));
    this.zip.addReadStream(content.pipe(counted), path, { mtime: this.made, compress, mode: 0o100644 });
    await finished(counted);
    this.current = null;
    this.written.push({ path, bytes, sha256: hash.digest('hex') });
  }

  /** Adds the last entry and closes the archive. */
  end(path: string, content: string): void {
    this.zip.addBuffer(Buffer.from(content), path, { mtime: this.made, mode: 0o100644 });
    this.zip.end();
  }
}
