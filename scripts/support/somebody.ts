import { Agent, request } from 'node:http';

/** What the server answered, and how long it took, ms. */
export interface Answered {
  readonly status: number;
  readonly ms: number;
  readonly data: Buffer;
}

/** Somebody who asks a server over HTTP and keeps the cookie given. */
export class Somebody {
  private cookies = new Map<string, string>();
  /** The address a proxy in front would name, and how a body is packed; nothing where it is as it is. */
  address = '';
  packing = '';
  private readonly agent = new Agent({ keepAlive: true, maxSockets: 4 });

  constructor(readonly port: number) {}

  private get cookie(): string {
    return [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; ');
  }

  /** The same somebody before a server that was started again. */
  before(port: number): Somebody {
    const same = new Somebody(port);
    same.cookies = new Map(this.cookies);
    return same;
  }

  /**
   * Asks for something.
   * @throws when the server ends before it has answered
   */
  ask(method: string, path: string, body?: unknown): Promise<Answered> {
    const json = typeof body === 'string' ? body : body === undefined ? '' : JSON.stringify(body);
    return Buffer.isBuffer(body)
      ? this.send(method, path, body, 'application/octet-stream')
      : this.send(method, path, Buffer.from(json), 'application/json');
  }

  /** Sends bytes that say they are of some type. */
  send(method: string, path: string, body: Buffer, type: string): Promise<Answered> {
    const from = performance.now();
    return new Promise((resolve, reject) => {
      const asked = request(
        {
          ...{ port: this.port, method, path: `/api${path}`, agent: this.agent },
          headers: {
            ...(this.cookies.size > 0 ? { Cookie: this.cookie } : {}),
            ...(this.address ? { 'X-Forwarded-For': this.address } : {}),
            ...(this.packing ? { 'Content-Encoding': this.packing } : {}),
            ...(body.length > 0 ? { 'Content-Type': type, 'Content-Length': body.length } : {}),
          },
        },
        (answer) => {
          const parts: Buffer[] = [];
          answer.on('data', (part: Buffer) => parts.push(part));
          answer.on('error', reject);
          answer.on('end', () => {
            for (const given of answer.headers['set-cookie'] ?? []) {
              const [name, value] = given.split(';')[0].split('=');
              this.cookies.set(name, value);
            }
            const ms = performance.now() - from;
            resolve({ status: answer.statusCode ?? 0, ms, data: Buffer.concat(parts) });
          });
        },
      );
      asked.on('error', reject);
      asked.end(body);
    });
  }

  /** What is answered as JSON. @throws unless the status is one of success */
  async json<T>(method: string, path: string, body?: unknown): Promise<T> {
    const { status, data } = await this.ask(method, path, body);
    if (status >= 300)
      throw new Error(`${method} ${path}: ${status} ${String(data).slice(0, 200)}`);
    return JSON.parse(String(data)) as T;
  }

  close(): void {
    this.agent.destroy();
  }
}
