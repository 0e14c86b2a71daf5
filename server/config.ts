import path from 'node:path';

/** What a server is started with. */
export interface Config {
  readonly port: number;
  /** Folder of the database file. */
  readonly dataDir: string;
  /** Folder of the built pages, or null to serve the interface of programs only. */
  readonly webDir: string | null;
  /** The bundled worker that replays runs. */
  readonly workerFile: string;
  /** Most worker threads, and most runs that may wait for one. */
  readonly workers: number;
  readonly queue: number;
  /** Seconds and MB that replaying one run may take. */
  readonly verifySeconds: number;
  readonly verifyMegabytes: number;
  /** Requests a minute from one address, for reading and for writing. */
  readonly readsPerMinute: number;
  readonly writesPerMinute: number;
  /** Whether cookies may travel over plain HTTP only when the page did. */
  readonly secureCookies: boolean;
  readonly logLevel: string;
}

/** The configuration of this environment; every variable has a default that works on its own. */
export function configFromEnvironment(env: NodeJS.ProcessEnv, root: string): Config {
  const number = (name: string, otherwise: number) => {
    const value = env[name] === undefined ? otherwise : Number(env[name]);
    if (!Number.isInteger(value) || value < 0) throw new Error(`${name} is not a whole number.`);
    return value;
  };
  return {
    port: number('PORT', 8080),
    dataDir: path.resolve(env.STONEHOP_DATA ?? path.join(root, 'data')),
    webDir: path.join(root, 'dist', 'web'),
    workerFile: path.join(root, 'dist', 'verify-worker.cjs'),
    workers: number('STONEHOP_WORKERS', 1),
    queue: number('STONEHOP_QUEUE', 32),
    verifySeconds: number('STONEHOP_VERIFY_SECONDS', 20),
    verifyMegabytes: number('STONEHOP_VERIFY_MB', 512),
    readsPerMinute: number('STONEHOP_READS', 1200),
    writesPerMinute: number('STONEHOP_WRITES', 240),
    secureCookies: env.STONEHOP_SECURE === '1',
    logLevel: env.STONEHOP_LOG ?? 'warn',
  };
}
