import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { configFromEnvironment, type Config } from '../config';
import { serve, type Running } from '../serve';

/** A server in this process, on a database file of its own. */
export async function testServer(
  change: Partial<Config> = {},
): Promise<{ running: Running; config: Config; remove: () => Promise<void> }> {
  const dataDir = mkdtempSync(path.join(tmpdir(), 'stonehop-server-'));
  const config: Config = {
    ...configFromEnvironment(process.env, path.join(__dirname, '..', '..')),
    port: 0,
    dataDir,
    webDir: null,
    logLevel: 'silent',
    ...change,
  };
  const running = await serve(config);
  return {
    running,
    config,
    remove: async () => {
      await running.close();
      rmSync(dataDir, { recursive: true, force: true });
    },
  };
}

interface Answer {
  readonly status: number;
  readonly headers: Headers;
  // Tests look into whatever came back.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  readonly body: any;
}

/** Somebody with a browser of their own: keeps the cookie it is given. */
export class Somebody {
  cookie = '';

  constructor(private readonly port: number) {}

  async ask(method: string, path: string, body?: unknown): Promise<Answer> {
    const response = await fetch(`http://127.0.0.1:${this.port}/api${path}`, {
      method,
      headers: {
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        ...(this.cookie ? { Cookie: this.cookie } : {}),
      },
      body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body),
    });
    const [given] = response.headers.getSetCookie();
    if (given) this.cookie = given.split(';')[0];
    const text = await response.text();
    return {
      status: response.status,
      headers: response.headers,
      body: text ? JSON.parse(text) : undefined,
    };
  }
}
