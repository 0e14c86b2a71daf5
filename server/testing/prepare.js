const { spawnSync } = require('node:child_process');
const path = require('node:path');
const { buildSeedFile, buildWorker } = require('../../scripts/bundles.cjs');

const dist = path.join(__dirname, '..', '..', 'dist');

/**
 * Makes ready what tests of the server stand on: the bundled worker for their threads, and a database with the demo in it
 * that each of them copies.
 */
module.exports = async () => {
  await Promise.all([buildWorker(), buildSeedFile()]);
  const seed = [path.join(dist, 'seedFile.cjs'), path.join(dist, 'seeded')];
  const { status } = spawnSync(process.execPath, seed, { stdio: 'inherit' });
  if (status !== 0) throw new Error('The database for the tests could not be made.');
};
