const { build } = require('esbuild');
const path = require('node:path');

const root = path.join(__dirname, '..');

const bundle = (entry, name) =>
  build({
    absWorkingDir: root,
    entryPoints: [entry],
    outfile: path.join('dist', `${name}.cjs`),
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'cjs',
    packages: 'external',
    alias: { '@': root },
    sourcemap: true,
    logLevel: 'warning',
  });

module.exports = {
  buildServer: () => bundle('server/main.ts', 'server'),
  buildWorker: () => bundle('server/threads/worker.ts', 'worker'),
  buildTend: () => bundle('server/tend.ts', 'tend'),
  buildSeedFile: () => bundle('server/testing/seedFile.ts', 'seedFile'),
  buildCli: () => bundle('cli/main.ts', 'cli'),
};
