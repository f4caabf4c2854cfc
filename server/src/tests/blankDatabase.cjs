/** Before the server's tests: the built server, and one blank database that each of them copies. */
const fs = require('node:fs');
const os = require('node:os');
const path = require('node:path');

/** Names the folder of the blank database. */
const BLANK = 'WESKOPOS_BLANK_DATABASE';

module.exports = async () => {
  const { ensureServerBuild } = await import('../../../scripts/bootstrap.mjs');
  ensureServerBuild();
  const { PGlite } = require('@electric-sql/pglite');
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'weskopos-blank-'));
  const database = await PGlite.create({ dataDir: folder });
  await database.close();
  process.env[BLANK] = folder;
  process.on('exit', () => fs.rmSync(folder, { recursive: true, force: true }));
};
