import fs from 'node:fs/promises';
import path from 'node:path';
import { bareFolder } from '@weskopos/server/tests/workshop';

/** A data folder of its own, with the demo in it. */
export async function demoFolder(): Promise<string> {
  const folder = await bareFolder();
  await fs.cp(path.join(__dirname, '..', '.cache', 'demo'), folder, { recursive: true });
  return folder;
}
