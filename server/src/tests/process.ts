import { spawn, type ChildProcess } from 'node:child_process';
import path from 'node:path';
import { Client } from './workshop';

const ROOT = path.resolve(__dirname, '..', '..', '..');

export interface Process {
  readonly child: ChildProcess;
  readonly client: Client;
  readonly output: string;
}

/** The real server as a process of its own on `folder`; resolves when it prints its ready line. */
export function startProcess(folder: string, more: Readonly<Record<string, string>> = {}): Promise<Process> {
  const child = spawn('node', ['--enable-source-maps', 'dist/server/main.js'], {
    cwd: ROOT,
    env: { ...process.env, ...more, PORT: '0', WESKOPOS_DATA: folder },
  });
  return new Promise((resolve, reject) => {
    let output = '';
    const listen = (chunk: Buffer) => {
      output += chunk.toString();
      const port = /ready at http:\/\/localhost:(\d+)\n/.exec(output)?.[1];
      if (port && (output.includes('code ') || !output.includes('empty')))
        setTimeout(() => resolve({ child, client: new Client(`http://localhost:${port}`), output }), 50);
    };
    child.stdout?.on('data', listen);
    child.stderr?.on('data', listen);
    child.on('exit', (code) => reject(new Error(`ended with ${code}: ${output}`)));
  });
}

export const ended = (child: ChildProcess) =>
  new Promise<number | null>((resolve) =>
    child.exitCode !== null ? resolve(child.exitCode) : child.on('exit', (code) => resolve(code)),
  );
export const setupCode = (output: string) => /code (\S+)/.exec(output)?.[1] ?? null;

export async function kill(one: Process): Promise<void> {
  one.child.removeAllListeners('exit');
  one.child.kill('SIGKILL');
  await ended(one.child);
}
