// npm run dev: the pages with fast refresh, and the server, each anew when its sources change. The pages are at
// PORT (8080 by default) and pass what is asked of /api on to the server at the port above that.
import { spawn } from 'node:child_process';
import path from 'node:path';
import { createRequire } from 'node:module';

const root = path.join(path.dirname(new URL(import.meta.url).pathname), '..');
const { watchServer } = createRequire(import.meta.url)('./bundles.cjs');

const port = Number(process.env.PORT ?? 8080);
const apiPort = port + 1;

let server = null;
let isOver = false;

/** Ends the server that runs, if any, and starts the one that was just built. */
async function serveAnew() {
  const before = server;
  server = null;
  if (before) {
    const ended = new Promise((resolve) => before.once('exit', resolve));
    before.kill('SIGKILL');
    await ended;
  }
  if (isOver) return;
  server = spawn(process.execPath, [path.join(root, 'dist', 'server.cjs')], {
    env: { ...process.env, PORT: String(apiPort), STONEHOP_WARM: '0' },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  server.once('spawn', () => console.log(`The server is at http://localhost:${apiPort}/api`));
}

const stop = await watchServer(() => void serveAnew());
const pages = spawn(
  process.execPath,
  [path.join(root, 'node_modules', 'expo', 'bin', 'cli'), 'start', '--web', '--port', String(port)],
  {
    cwd: root,
    env: {
      ...process.env,
      BROWSER: 'none',
      EXPO_NO_TELEMETRY: '1',
      EXPO_OFFLINE: '1',
      STONEHOP_API: `http://127.0.0.1:${apiPort}`,
    },
    stdio: ['ignore', 'inherit', 'inherit'],
  },
);

async function end() {
  isOver = true;
  server?.kill('SIGKILL');
  pages.kill('SIGTERM');
  await stop();
  process.exit(0);
}
for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => void end());
pages.once('exit', () => void end());
