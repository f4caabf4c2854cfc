import fs from 'node:fs/promises';
import path from 'node:path';

/** Waits until a file or folder is on disk, its name in the folder above included for what is in it. */
export async function sync(file: string): Promise<void> {
  const handle = await fs.open(file, 'r');
  try {
    await handle.sync();
  } finally {
    await handle.close();
  }
}

/** Copies a folder with all that is in it; on disk when it resolves. */
export async function copyDurably(from: string, to: string): Promise<void> {
  await fs.mkdir(to, { recursive: true, mode: 0o700 });
  for (const entry of await fs.readdir(from, { withFileTypes: true })) {
    const [source, target] = [path.join(from, entry.name), path.join(to, entry.name)];
    if (entry.isDirectory()) await copyDurably(source, target);
    else if (entry.isFile()) {
      await fs.copyFile(source, target);
      await fs.chmod(target, 0o600);
      await sync(target);
    }
  }
  await sync(to);
}
