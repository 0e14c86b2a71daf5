import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Knex } from 'knex';
import type { DestinationStream, Logger } from 'pino';
import type { Context } from './api/context';
import { createApp } from './app';
import type { Config } from './base/config';
import { bringUp } from './care/bringUp';
import { openDatabase } from './db/open';
import { seedDemo } from './care/seed';
import { sweep } from './db/sweep';
import { Limits } from './api/limits';
import { createLogger } from './base/log';
import { readOneDifficulty } from './care/readDifficulties';
import { Lane, Lanes } from './threads/lane';
import { Pool } from './threads/pool';
import { Turns } from './threads/turns';
import { Verifier } from './threads/verifier';
import { warmUp } from './warm';

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
  const pool = new Pool(workerFile, 1, verifyMegabytes, LAST);
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

/** What one party may have of a kind of work: of what it is worked on at a time, waiting, and seconds a minute. */
const SHARE = { ofAddress: 60, ofMaker: 8, seconds: 30 };
/** Time limits of a short replay, a short document, any document and a drawing, ms. */
const [SHORT, READ_SOON, TAKEN_IN, DRAWN] = [1000, 400, 6000, 15_000];
/** By how much longer a thread is let work than it is told to, ms. */
const GRACE = 2000;
/** Niceness of threads for short work, for long work, and for work that nobody waits for. */
const [SOON, LATER, LAST] = [3, 12, 19];
/** Passphrases of one kind that are worked out at a time: each takes 128 MB. */
const PASSPHRASES = 1;

const passphraseTurns = (waiting: number) =>
  new Turns({ atOnce: PASSPHRASES, waiting, ofAddress: 4, ofMaker: 4, seconds: 20 });

/** Threads for each kind of work, and the turns it takes: no kind waits for another, nor the short for the long. */
function threadsOf(config: Config) {
  const { workerFile, workers, queue, verifyMegabytes, verifySeconds, patience } = config;
  const lane = (threads: number, budget: number, behind: number) =>
    new Lane(
      new Pool(workerFile, threads, verifyMegabytes, behind),
      new Turns({ atOnce: Math.max(1, threads), waiting: queue, ...SHARE }),
      budget * patience,
    );
  return {
    intake: new Lanes(lane(1, READ_SOON, SOON), lane(1, TAKEN_IN, LATER)),
    pictures: lane(1, DRAWN, LATER),
    // These end by themselves; their threads are ended where they do not.
    replays: new Lanes(
      lane(1, SHORT + GRACE, SOON),
      lane(workers, 1000 * verifySeconds + GRACE, LATER),
    ),
    passphrases: passphraseTurns(queue),
    knownPassphrases: passphraseTurns(queue),
  };
}

/**
 * Opens the database, lays in the demo where it is empty, and listens.
 * @param config what it is started with
 * @param log where its log goes; on standard output where nothing is said
 */
export async function serve(config: Config, log?: DestinationStream): Promise<Running> {
  const logger = createLogger(config.logLevel, log);
  const db = await openDatabase(config.dataDir);
  await bringUp(db, (line) => logger.info(line));
  await seedDemo(db);
  await sweep(db);
  const work = threadsOf(config);
  const { intake, pictures, replays } = work;
  const verifier = new Verifier(replays, SHORT, 1000 * config.verifySeconds);
  const limits = new Limits(config);
  const context: Context = { db, config, limits, ...work, verifier };
  const app = createApp(context, logger);
  const server = await new Promise<Server>((resolve, reject) => {
    const listening = app.listen(config.port, (error) =>
      error ? reject(error) : resolve(listening),
    );
  });
  server.requestTimeout = REQUEST_TIME;
  const sweeping = setInterval(() => {
    sweep(db).catch((error) => logger.error(error));
  }, SWEEP_EVERY);
  const { port } = server.address() as AddressInfo;
  if (config.warm) await warmUp(port, [intake.quick, pictures, replays.quick]);
  const reading = config.difficultyTries > 0 ? beginReading(db, config, logger) : null;
  return {
    port,
    close: async () => {
      clearInterval(sweeping);
      await reading?.end();
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await Promise.all([intake, pictures, replays].map((lane) => lane.close()));
      await db.destroy();
    },
  };
}
