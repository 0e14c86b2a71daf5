import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** The built server as a process of its own, on a database of its own. */
export class TestServer {
  private child: ChildProcess | null = null;
  port = 0;

  /** @param dataDir where its database is; a folder that goes with it where none is told */
  constructor(private readonly dataDir = mkdtempSync(path.join(tmpdir(), 'stonehop-'))) {}

  /** The process that serves, while there is one. */
  get pid(): number | undefined {
    return this.child?.pid;
  }

  get url(): string {
    return `http://localhost:${this.port}`;
  }

  /** Starts, or starts again on the same port and database. */
  async start(env: Record<string, string> = {}): Promise<void> {
    const child = spawn(process.execPath, [path.join(__dirname, '../../dist/server.cjs')], {
      env: {
        ...process.env,
        PORT: String(this.port),
        STONEHOP_DATA: this.dataDir,
        // Every test is somebody new, all from one address.
        STONEHOP_MAKERS: '100000',
        STONEHOP_REAL_TIME: '0',
        STONEHOP_WRITES: '100000',
        // It takes a processor for a minute.
        STONEHOP_DIFFICULTY_TRIES: '0',
        ...env,
      },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.child = child;
    // Whatever becomes of this process, it does not leave a server behind.
    const end = () => child.kill('SIGKILL');
    process.once('exit', end);
    child.once('exit', () => process.off('exit', end));
    await new Promise<void>((resolve, reject) => {
      child.once('exit', (code) => reject(new Error(`The server ended with ${code}.`)));
      child.stdout!.on('data', (data: Buffer) => {
        const port = /localhost:(\d+)/.exec(String(data))?.[1];
        if (port) {
          this.port = Number(port);
          resolve();
        }
      });
    });
  }

  /** Ends it at once, as a crash would. */
  async kill(): Promise<void> {
    const { child } = this;
    this.child = null;
    if (!child) return;
    const ended = once(child, 'exit');
    child.kill('SIGKILL');
    await ended;
  }

  async remove(): Promise<void> {
    await this.kill();
    rmSync(this.dataDir, { recursive: true, force: true });
  }
}
