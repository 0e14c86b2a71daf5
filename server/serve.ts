import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Knex } from 'knex';
import type { Logger } from 'pino';
import { createApp } from './app';
import type { Config } from './config';
import { openDatabase } from './db/open';
import { seedDemo } from './db/seed';
import { sweep } from './db/sweep';
import { Limits } from './limits';
import { createLogger } from './log';
import { readOneDifficulty } from './care/readDifficulties';
import { Pool } from './threads/pool';
import { Verifier } from './threads/verifier';

/** A server that listens. */
export interface Running {
  readonly port: number;
  close(): Promise<void>;
}

/** Time between two sweeps, and that a request may take to arrive, ms. */
const [SWEEP_EVERY, REQUEST_TIME] = [3_600_000, 60_000];
/** Rest between two courses of which it is read how hard they are, and between looks whether there is one, ms. */
const [READ_REST, READ_EVERY] = [500, 5000];

/** Has the difficulty of published courses be read, on a thread of its own, while nothing waits for it. */
function beginReading(db: Knex, config: Config, logger: Logger): { end: () => Promise<void> } {
  const { workerFile, verifyMegabytes, difficultyTries } = config;
  const pool = new Pool(workerFile, 1, 1, verifyMegabytes);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let isOver = false;
  const next = (ms: number) => {
    if (!isOver) timer = setTimeout(() => void read(), ms);
  };
  const read = () =>
    readOneDifficulty(db, pool, difficultyTries).then(
      (more) => next(more ? READ_REST : READ_EVERY),
      (error) => {
        if (!isOver) logger.error(error);
        next(READ_EVERY);
      },
    );
  next(READ_REST);
  return {
    end: async () => {
      isOver = true;
      clearTimeout(timer);
      await pool.close();
    },
  };
}

/** Opens the database, lays in the demo where it is empty, and listens. */
export async function serve(config: Config): Promise<Running> {
  const logger = createLogger(config.logLevel);
  const db = await openDatabase(config.dataDir);
  await seedDemo(db);
  await sweep(db);
  const { workerFile, workers, queue, verifyMegabytes } = config;
  // Replaying runs takes long; what is taken in and drawn does not wait for it.
  const pool = new Pool(workerFile, 1, 4 * queue, verifyMegabytes);
  const replays = new Pool(workerFile, workers, queue, verifyMegabytes);
  const verifier = new Verifier(replays, config.verifySeconds);
  const app = createApp({ db, config, limits: new Limits(config), pool, verifier }, logger);
  const server = await new Promise<Server>((resolve, reject) => {
    const listening = app.listen(config.port, (error) =>
      error ? reject(error) : resolve(listening),
    );
  });
  server.requestTimeout = REQUEST_TIME;
  const sweeping = setInterval(() => {
    sweep(db).catch((error) => logger.error(error));
  }, SWEEP_EVERY);
  const reading = config.difficultyTries > 0 ? beginReading(db, config, logger) : null;
  return {
    port: (server.address() as AddressInfo).port,
    close: async () => {
      clearInterval(sweeping);
      await reading?.end();
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await Promise.all([pool.close(), replays.close()]);
      await db.destroy();
    },
  };
}
