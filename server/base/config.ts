import path from 'node:path';

/** What a server is started with. */
export interface Config {
  readonly port: number;
  /** Folder of the database file. */
  readonly dataDir: string;
  /** Folder of the built pages, or null to serve the interface of programs only. */
  readonly webDir: string | null;
  /** The bundled worker. */
  readonly workerFile: string;
  /** Most threads that replay runs, and most tasks of a kind that may wait for a thread. */
  readonly workers: number;
  readonly queue: number;
  /** Seconds that replaying one run may take, and MB that a thread may. */
  readonly verifySeconds: number;
  readonly verifyMegabytes: number;
  /** How often each part of a published course is tried to tell how hard it is; 0 has it not be told. */
  readonly difficultyTries: number;
  /** Requests a minute from one address, for reading and for writing. */
  readonly readsPerMinute: number;
  readonly writesPerMinute: number;
  /** Tries to sign in a minute, from one address under one name; of all addresses together six times as many. */
  readonly signInsPerMinute: number;
  /** Attempts at published courses a minute, by one player; from one address sixty times as many. */
  readonly attemptsPerMinute: number;
  /** Refuse runs longer than the time since their attempt began. Off only where programs make runs. */
  readonly inRealTime: boolean;
  /** New makers an hour, and MB sent in a day, from one address. */
  readonly makersPerHour: number;
  readonly addressMegabytes: number;
  /** MB of courses, kits and recordings that one maker keeps, and how many courses. */
  readonly makerMegabytes: number;
  readonly makerCourses: number;
  /** MB of the disk that are left free. */
  readonly freeMegabytes: number;
  /** Proxies in front, whose word on addresses is taken. */
  readonly proxies: number;
  /** Whether cookies may travel over plain HTTP only when the page did. */
  readonly secureCookies: boolean;
  /** Factor on the usual time limits of work on threads, more for slow machines. */
  readonly patience: number;
  /** Start threads before they are first needed. */
  readonly warm: boolean;
  readonly logLevel: string;
}

/** The configuration of this environment; every variable has a default that works on its own. */
export function configFromEnvironment(
  env: Readonly<Record<string, string | undefined>>,
  root: string,
): Config {
  const number = (name: string, otherwise: number) => {
    const value = env[name] === undefined ? otherwise : Number(env[name]);
    if (!Number.isInteger(value) || value < 0) throw new Error(`${name} is not a whole number.`);
    return value;
  };
  return {
    port: number('PORT', 8080),
    dataDir: path.resolve(env.STONEHOP_DATA ?? path.join(root, 'data')),
    webDir: path.resolve(env.STONEHOP_WEB ?? path.join(root, 'dist', 'web')),
    workerFile: path.join(root, 'dist', 'worker.cjs'),
    workers: number('STONEHOP_WORKERS', 1),
    queue: number('STONEHOP_QUEUE', 32),
    verifySeconds: number('STONEHOP_VERIFY_SECONDS', 20),
    verifyMegabytes: number('STONEHOP_VERIFY_MB', 512),
    difficultyTries: number('STONEHOP_DIFFICULTY_TRIES', 60),
    readsPerMinute: number('STONEHOP_READS', 12_000),
    writesPerMinute: number('STONEHOP_WRITES', 3600),
    signInsPerMinute: number('STONEHOP_SIGN_INS', 10),
    attemptsPerMinute: number('STONEHOP_ATTEMPTS', 40),
    inRealTime: env.STONEHOP_REAL_TIME !== '0',
    makersPerHour: number('STONEHOP_MAKERS', 600),
    addressMegabytes: number('STONEHOP_ADDRESS_MB', 500),
    makerMegabytes: number('STONEHOP_MAKER_MB', 200),
    makerCourses: number('STONEHOP_MAKER_COURSES', 500),
    freeMegabytes: number('STONEHOP_FREE_MB', 200),
    proxies: number('STONEHOP_PROXIES', 0),
    secureCookies: env.STONEHOP_SECURE === '1',
    patience: number('STONEHOP_PATIENCE', 1),
    warm: env.STONEHOP_WARM !== '0',
    logLevel: env.STONEHOP_LOG ?? 'warn',
  };
}
