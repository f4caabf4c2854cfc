import { spawn, type ChildProcess } from 'node:child_process';
import fs from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';

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
    await workshop.start();
    return workshop;
  }

  get url(): string {
    return `http://localhost:${this.port}`;
  }

  async start(): Promise<void> {
    this.output = '';
    const child = spawn('node', ['--import', 'tsx', 'server/src/main.ts', ...(this.demo ? ['--demo'] : [])], {
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

  /** Power gone: no goodbye. */
  async kill(): Promise<void> {
    const child = this.child;
    if (!child) return;
    child.removeAllListeners('exit');
    const gone = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGKILL');
    await gone;
    this.child = null;
  }

  async remove(): Promise<void> {
    await this.kill();
    await fs.rm(this.folder, { recursive: true, force: true });
  }
}
