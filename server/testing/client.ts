import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { DestinationStream } from 'pino';
import type { Run } from '@/core/run';
import { configFromEnvironment, type Config } from '../base/config';
import { serve, type Running } from '../serve';

// Digests of passphrases take their time, and several servers may be started side by side.
jest.setTimeout(60_000);

/** The database with the demo in it that `prepare.js` made. */
const SEEDED = path.join(__dirname, '..', '..', 'dist', 'seeded');

/** A server in this process, on a database file of its own. */
export async function testServer(
  change: Partial<Config> = {},
  log?: DestinationStream,
): Promise<{ running: Running; config: Config; remove: () => Promise<void> }> {
  const dataDir = mkdtempSync(path.join(tmpdir(), 'stonehop-server-'));
  cpSync(SEEDED, dataDir, { recursive: true });
  const config: Config = {
    ...configFromEnvironment(process.env, path.join(__dirname, '..', '..')),
    port: 0,
    dataDir,
    webDir: null,
    logLevel: 'silent',
    writesPerMinute: 100_000,
    signInsPerMinute: 1000,
    attemptsPerMinute: 1000,
    makersPerHour: 10_000,
    difficultyTries: 0,
    warm: false,
    // In Jest no thread comes up in place of one that was ended, and both processors are busy.
    patience: 20,
    // Runs of tests were made by programs.
    inRealTime: false,
    ...change,
  };
  const running = await serve(config, log);
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

/** Somebody with a browser of their own: keeps the cookies it is given. */
export class Somebody {
  private readonly jar = new Map<string, string>();
  /** Headers that are sent with every request besides. */
  headers: Record<string, string> = {};
  /** The address a proxy in front would name. */
  forwarded = '';

  /** Begins an attempt at a published course and sends in a run made with its seed. */
  async play(slug: string, run: Run, player?: string): Promise<Answer> {
    const { attempt, seed } = (await this.ask('POST', `/published/${slug}/attempts`)).body;
    return this.ask('POST', `/published/${slug}/runs`, { run: { ...run, seed }, attempt, player });
  }

  constructor(private readonly port: number) {}

  /** The cookie of the session, as it is sent. */
  get cookie(): string {
    const name = ['__Host-stonehop', 'stonehop'].find((one) => this.jar.has(one));
    return name ? `${name}=${this.jar.get(name)}` : '';
  }

  set cookie(text: string) {
    this.jar.delete('__Host-stonehop');
    this.jar.delete('stonehop');
    const [name, value] = text.split('=');
    if (value) this.jar.set(name, value);
  }

  private get cookies(): string {
    return [...this.jar].map(([name, value]) => `${name}=${value}`).join('; ');
  }

  /** A published course with its document, as a page puts them together. */
  async see(slug: string, edition?: number): Promise<Answer> {
    const told = await this.ask('GET', `/published/${slug}${edition ? `?edition=${edition}` : ''}`);
    if (told.status !== 200) return told;
    const { body } = await this.ask('GET', `/published/${slug}/documents/${told.body.look}`);
    return { ...told, body: { ...told.body, ...body } };
  }

  /** Sends a file as it is. */
  send(path: string, data: Buffer): Promise<Answer> {
    return this.request('POST', path, 'application/octet-stream', new Uint8Array(data));
  }

  /** Asks for something, with a body as JSON or, given as text, as it is. */
  ask(method: string, path: string, body?: unknown): Promise<Answer> {
    const text = body === undefined || typeof body === 'string' ? body : JSON.stringify(body);
    return this.request(method, path, 'application/json', text);
  }

  private async request(
    method: string,
    path: string,
    type: string,
    body?: string | Uint8Array<ArrayBuffer>,
  ): Promise<Answer> {
    const response = await fetch(`http://127.0.0.1:${this.port}/api${path}`, {
      method,
      headers: {
        ...(body === undefined ? {} : { 'Content-Type': type }),
        ...(this.jar.size > 0 ? { Cookie: this.cookies } : {}),
        ...(this.forwarded ? { 'X-Forwarded-For': this.forwarded } : {}),
        ...this.headers,
      },
      body,
    });
    for (const given of response.headers.getSetCookie()) {
      const [name, value] = given.split(';')[0].split('=');
      if (value) this.jar.set(name, value);
      else this.jar.delete(name);
    }
    const text = await response.text();
    const json = response.headers.get('content-type')?.includes('json');
    return {
      status: response.status,
      headers: response.headers,
      body: json ? JSON.parse(text) : text,
    };
  }
}
