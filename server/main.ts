import path from 'node:path';
import { configFromEnvironment } from './base/config';
import { serve } from './serve';

async function main(): Promise<void> {
  const config = configFromEnvironment(process.env, path.join(__dirname, '..'));
  const running = await serve(config);
  console.log(`Stone Hop is at http://localhost:${running.port}`);
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.once(signal, () => void running.close().then(() => process.exit(0)));
  }
}

main().catch((error: NodeJS.ErrnoException) => {
  const why =
    error.code === 'EADDRINUSE'
      ? 'The port is taken by another program. Choose one with PORT=8090 ./stonehop start'
      : `The server did not start: ${error.message}`;
  console.error(why);
  process.exit(1);
});
