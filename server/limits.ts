import { statfs } from 'node:fs/promises';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import type { Request, RequestHandler } from 'express';
import type { Knex } from 'knex';
import { Bucket } from './bucket';
import type { Config } from './config';
import type { CourseRow } from './db/rows';
import { HttpError } from './http';

const MB = 1024 * 1024;
/** Time for which what the disk has free is taken to be so, ms. */
const DISK_KNOWN = 2000;

/** Whoever a request comes from, as far as its address tells; of IPv6 the network. */
export const addressOf = (req: Request): string => ipKeyGenerator(req.ip ?? '');

const tooMany = (bucket: Bucket, code: string, message: string): HttpError =>
  new HttpError(429, code, message, {}, { 'Retry-After': String(bucket.seconds) });

/** What anybody may do, send and keep. */
export class Limits {
  private readonly signIns: Bucket;
  private readonly attempts: Bucket;
  private readonly makers: Bucket;
  private readonly bytes: Bucket;
  private free = Infinity;
  private freeAt = 0;

  constructor(private readonly config: Config) {
    this.signIns = new Bucket(config.signInsPerMinute, 60_000);
    this.attempts = new Bucket(config.attemptsPerMinute, 60_000);
    this.makers = new Bucket(config.makersPerHour, 3_600_000);
    this.bytes = new Bucket(config.addressMegabytes * MB, 86_400_000);
  }

  /** @throws HttpError 429 after too many tries at a name from an address */
  signIn(req: Request, name: string): void {
    if (this.signIns.take(`${addressOf(req)} ${name}`)) return;
    throw tooMany(this.signIns, 'too-many', 'Too many tries at this name; wait a minute.');
  }

  /** @throws HttpError 429 when an address begins more attempts than anybody can run */
  attempt(req: Request): void {
    if (this.attempts.take(addressOf(req))) return;
    throw tooMany(this.attempts, 'too-many', 'Too many attempts at once; wait a minute.');
  }

  /** @throws HttpError 429 when an address makes very many makers */
  newMaker(req: Request): void {
    if (this.makers.take(addressOf(req))) return;
    throw tooMany(
      this.makers,
      'too-many',
      'Very many have begun here just now; come back in an hour.',
    );
  }

  /** @throws HttpError 429 when an address has sent more in a day than anybody makes by hand */
  sent(req: Request, bytes: number): void {
    if (this.bytes.take(addressOf(req), bytes)) return;
    throw tooMany(this.bytes, 'too-much', 'That is more than is taken from one address in a day.');
  }

  /** @throws HttpError 507 when the disk is nearly full: what is kept already comes first */
  async room(): Promise<void> {
    const now = Date.now();
    if (now - this.freeAt > DISK_KNOWN) {
      const { bavail, bsize } = await statfs(this.config.dataDir);
      this.free = bavail * bsize;
      this.freeAt = now;
    }
    if (this.free >= this.config.freeMegabytes * MB) return;
    throw new HttpError(507, 'disk-full', 'The server has no room left. Nothing was changed.');
  }

  /**
   * What a maker keeps, with the bin, may grow by so much.
   * @throws HttpError 409 when it would be more than is kept for one maker
   */
  async keep(db: Knex, maker: string, bytes: number, instead?: string): Promise<void> {
    const sums = ['courses', 'kits', 'keeps'].map(async (table) => {
      const rows = db(table).where({ maker });
      if (instead) void rows.whereNot(table === 'keeps' ? 'file' : 'id', instead);
      const [{ bytes }] = await rows.sum({ bytes: 'bytes' });
      return Number(bytes ?? 0);
    });
    const kept = (await Promise.all(sums)).reduce((total, one) => total + one, 0);
    const { makerMegabytes } = this.config;
    if (kept + bytes <= makerMegabytes * MB) return;
    throw new HttpError(
      409,
      'full',
      `That is more than the ${makerMegabytes} MB kept for one maker, the bin included. Empty the bin, or delete what is not needed.`,
    );
  }

  /** @throws HttpError 409 when a maker has as many courses as are kept, the bin included */
  async anotherCourse(db: Knex, maker: string): Promise<void> {
    const { makerCourses } = this.config;
    const [{ count }] = await db<CourseRow>('courses').where({ maker }).count({ count: '*' });
    if (Number(count) < makerCourses) return;
    throw new HttpError(
      409,
      'full',
      `At most ${makerCourses} courses are kept, those in the bin included.`,
    );
  }
}

/** Requests a minute from one address: for reading, and apart from that for writing. */
export function requestLimits({ readsPerMinute, writesPerMinute }: Config): RequestHandler[] {
  const limit = (most: number, skipReads: boolean) =>
    rateLimit({
      windowMs: 60_000,
      limit: most,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      skip: (req) => (req.method === 'GET') === skipReads,
      handler: () => {
        throw new HttpError(429, 'too-many', 'Too many requests; wait a minute and try again.');
      },
    });
  return [limit(readsPerMinute, false), limit(writesPerMinute, true)];
}
