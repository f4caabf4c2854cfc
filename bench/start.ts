import { spawn } from 'node:child_process';
import fs from 'node:fs/promises';
import path from 'node:path';
import { newFolder } from '@weskopos/server/tests/workshop';

const ROOT = path.resolve(__dirname, '..');
const ROUNDS = 5;

function untilReady(args: readonly string[], env: Record<string, string>, sign: string): Promise<number> {
  const begun = process.hrtime.bigint();
  const child = spawn('node', ['--import', 'tsx', ...args], { cwd: ROOT, env: { ...process.env, ...env } });
  return new Promise((resolve, reject) => {
    let ready: number | null = null;
    child.stdout.on('data', (chunk: Buffer) => {
      if (ready !== null || !chunk.toString().includes(sign)) return;
      ready = Number(process.hrtime.bigint() - begun) / 1e6;
      child.kill('SIGTERM');
    });
    child.on('exit', (code) => (ready === null ? reject(new Error(`ended with ${code}`)) : resolve(ready)));
  });
}

const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

/** Start to ready on a folder that holds the demo world, beside a start of the runtime alone. */
export async function benchStart(): Promise<void> {
  const folder = await newFolder();
  const env = { PORT: '0', WESKOPOS_DATA: folder };
  const cold = await untilReady(['demo/src/main.ts'], env, 'is ready');
  const warm: number[] = [];
  const bare: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    warm.push(await untilReady(['server/src/main.ts'], env, 'is ready'));
    bare.push(await untilReady(['bench/bareStart.ts'], {}, 'is ready'));
  }
  console.log(
    `warm start to ready: ${Math.round(median(warm))} ms, ${(median(warm) / median(bare)).toFixed(1)} × Express alone (${Math.round(median(bare))} ms); first start with the demo world made: ${Math.round(cold)} ms`,
  );
  await fs.rm(folder, { recursive: true, force: true });
}
