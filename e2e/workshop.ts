import { spawn, type ChildProcess } from 'node:child_process';
import fs from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';

/** Names the folder of a demo workshop that was filled before; each story takes a copy. */
export const DEMO_FOLDER = 'WESKOPOS_DEMO_FOLDER';

const ROOT = path.resolve(__dirname, '..');

/** The server as its own process on a data folder of its own; it can be killed and started again on the same port. */
export class Workshop {
  private child: ChildProcess | null = null;
  output = '';
  port = 0;

  private constructor(
    readonly folder: string,
    private readonly demo: boolean,
  ) {}

  static async start({ demo }: { demo: boolean }): Promise<Workshop> {
    const workshop = new Workshop(await fs.mkdtemp(path.join(os.tmpdir(), 'weskopos-e2e-')), demo);
    const filled = process.env[DEMO_FOLDER];
    if (demo && filled) await fs.cp(filled, workshop.folder, { recursive: true });
    await workshop.start();
    return workshop;
  }

  get url(): string {
    return `http://localhost:${this.port}`;
  }

  async start(): Promise<void> {
    this.output = '';
    const child = spawn('node', ['--enable-source-maps', `dist/server/${this.demo ? 'demo' : 'main'}.js`], {
      cwd: ROOT,
      env: { ...process.env, PORT: String(this.port), WESKOPOS_DATA: this.folder },
    });
    this.child = child;
    await new Promise<void>((resolve, reject) => {
      const listen = (chunk: Buffer) => {
        this.output += chunk.toString();
        const port = /ready at http:\/\/localhost:(\d+)\n/.exec(this.output)?.[1];
        if (port) {
          this.port = Number(port);
          setTimeout(resolve, 50);
        }
      };
      child.stdout.on('data', listen);
      child.stderr.on('data', listen);
      child.on('exit', (code) => reject(new Error(`the server ended with ${code}: ${this.output}`)));
    });
  }

  /** Stops as one should. */
  stop(): Promise<void> {
    return this.end('SIGTERM');
  }

  /** Power gone: no goodbye. */
  kill(): Promise<void> {
    return this.end('SIGKILL');
  }

  private async end(signal: 'SIGTERM' | 'SIGKILL'): Promise<void> {
    const child = this.child;
    if (!child) return;
    child.removeAllListeners('exit');
    const gone = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await gone;
    this.child = null;
  }

  async remove(): Promise<void> {
    await this.kill();
    await fs.rm(this.folder, { recursive: true, force: true });
    await fs.rm(`${this.folder}-backups`, { recursive: true, force: true });
  }
}
