// Builds the pages, the server, its worker and the command line into dist/. With --if-needed it does
// so only when a source is newer than the last build.
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import path from 'node:path';
import { createRequire } from 'node:module';
import { promisify } from 'node:util';
import { brotliCompress } from 'node:zlib';
import { writeServiceWorker } from './serviceWorker.mjs';
import { subsetFonts } from './subsetFonts.mjs';

const root = path.join(path.dirname(new URL(import.meta.url).pathname), '..');
const { buildCli, buildServer, buildTend, buildWorker } = createRequire(import.meta.url)(
  './bundles.cjs',
);

const SOURCES = [
  'app',
  'ui',
  'core',
  'server',
  'cli',
  'demo',
  'workers',
  'assets',
  'public',
  'scripts',
];
const FILES = [
  'package-lock.json',
  'app.json',
  'babel.config.js',
  'metro.config.js',
  'tsconfig.json',
];

function* walk(folder) {
  if (!existsSync(folder)) return;
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const file = path.join(folder, entry.name);
    if (entry.isDirectory()) yield* walk(file);
    else if (!/\.test\.tsx?$/.test(entry.name)) yield file;
  }
}

/** Packs what pages load, beside it, as small as it can be (Brotli, RFC 7932): done once, not for each visit. */
async function packAll(folder) {
  const pack = promisify(brotliCompress);
  const files = [...walk(folder)].filter((file) => /\.(js|css|html|json|ttf)$/.test(file));
  await Promise.all(
    files.map(async (file) => writeFileSync(`${file}.br`, await pack(readFileSync(file)))),
  );
}

function stamp() {
  const hash = createHash('sha256');
  const files = [...SOURCES.flatMap((folder) => [...walk(path.join(root, folder))])];
  files.push(...FILES.map((file) => path.join(root, file)).filter(existsSync));
  for (const file of files.sort())
    hash.update(path.relative(root, file)).update(readFileSync(file));
  return hash.digest('hex');
}

const stampFile = path.join(root, 'dist', 'stamp');
const now = stamp();
if (
  process.argv.includes('--if-needed') &&
  existsSync(stampFile) &&
  readFileSync(stampFile, 'utf8') === now
) {
  process.exit(0);
}

console.log('Building (about two minutes the first time) …');
const exported = spawnSync(
  process.execPath,
  [
    path.join(root, 'node_modules', 'expo', 'bin', 'cli'),
    'export',
    '--platform',
    'web',
    '--output-dir',
    'dist/web',
  ],
  {
    cwd: root,
    stdio: ['ignore', 'pipe', 'pipe'],
    encoding: 'utf8',
    env: {
      ...process.env,
      CI: '1',
      EXPO_NO_TELEMETRY: '1',
      EXPO_OFFLINE: '1',
      NODE_ENV: 'production',
    },
  },
);
if (exported.status !== 0) {
  console.error(exported.stdout, exported.stderr);
  console.error('The pages could not be built; the lines above say why.');
  process.exit(1);
}
const web = path.join(root, 'dist', 'web');
await subsetFonts(web);
// It tells of the files as they are, and is packed with them.
await writeServiceWorker(web);
await Promise.all([buildServer(), buildWorker(), buildTend(), buildCli(), packAll(web)]);
writeFileSync(stampFile, now);
statSync(path.join(root, 'dist', 'web', 'index.html'));
