import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import pino from 'pino';
import { createApp } from './app';
import type { Config } from './config';
import { openDatabase } from './db/open';
import { seedDemo } from './db/seed';
import { Verifier } from './verify/verifier';

/** A server that listens. */
export interface Running {
  readonly port: number;
  close(): Promise<void>;
}

/** Opens the database, lays in the demo where it is empty, and listens. */
export async function serve(config: Config): Promise<Running> {
  const logger = pino({ level: config.logLevel });
  const db = await openDatabase(config.dataDir);
  await seedDemo(db);
  const verifier = new Verifier(
    config.workerFile,
    config.workers,
    config.queue,
    config.verifySeconds,
    config.verifyMegabytes,
  );
  const app = createApp({ db, config, verifier }, logger);
  const server = await new Promise<Server>((resolve, reject) => {
    const listening = app.listen(config.port, (error) =>
      error ? reject(error) : resolve(listening),
    );
  });
  return {
    port: (server.address() as AddressInfo).port,
    close: async () => {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await verifier.close();
      await db.destroy();
    },
  };
}
