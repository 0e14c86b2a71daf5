const { build, context } = require('esbuild');
const path = require('node:path');

const root = path.join(__dirname, '..');

/** Options that make one file of an entry and all it imports from here. */
const optionsOf = (entry, name) => ({
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

const bundle = (entry, name) => build(optionsOf(entry, name));

/**
 * Builds the server and its worker, and again whenever a source changes.
 * @param {() => void} onBuilt is told of each time that both are there without an error
 * @returns {Promise<() => Promise<void>>} ends it
 */
async function watchServer(onBuilt) {
  const built = new Set();
  const tell = (name) => ({
    name: 'tell',
    setup: ({ onEnd }) =>
      onEnd(({ errors }) => {
        if (errors.length > 0) return;
        built.add(name);
        if (built.size === 2) onBuilt();
      }),
  });
  const contexts = await Promise.all(
    [
      ['server/main.ts', 'server'],
      ['server/threads/worker.ts', 'worker'],
    ].map(([entry, name]) => context({ ...optionsOf(entry, name), plugins: [tell(name)] })),
  );
  for (const one of contexts) await one.watch();
  return async () => {
    for (const one of contexts) await one.dispose();
  };
}

module.exports = {
  watchServer,
  buildServer: () => bundle('server/main.ts', 'server'),
  buildWorker: () => bundle('server/threads/worker.ts', 'worker'),
  buildTend: () => bundle('server/tend.ts', 'tend'),
  buildSeedFile: () => bundle('server/testing/seedFile.ts', 'seedFile'),
  buildCli: () => bundle('cli/main.ts', 'cli'),
};
