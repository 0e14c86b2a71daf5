import { statfs } from 'node:fs/promises';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import type { Request, RequestHandler } from 'express';
import type { Knex } from 'knex';
import { Bucket } from '../base/bucket';
import type { Config } from '../base/config';
import type { CourseRow } from '../db/rows';
import { HttpError } from '../base/http';

const MB = 1024 * 1024;
/** By how much more an address may try to sign in than under one name, and all addresses under one name. */
const SIGN_INS = 6;
/** People behind one address: a class. */
const BEHIND = 60;
/** Time for which what the disk has free is taken to be so, ms. */
const DISK_KNOWN = 2000;

/** Whoever a request comes from, as far as its address tells; of IPv6 the network. */
export const addressOf = (req: Request): string => ipKeyGenerator(req.ip ?? '');

/** Who asks for work. */
export const partyOf = <Maker extends string | undefined>(req: Request, maker: Maker) => ({
  address: addressOf(req),
  maker,
});

const tooMany = (bucket: Bucket, code: string, message: string): HttpError =>
  new HttpError(429, code, message, {}, { 'Retry-After': String(bucket.seconds) });

/** What anybody may do, send and keep. */
export class Limits {
  private readonly signIns: Bucket;
  private readonly allSignIns: Bucket;
  private readonly nameSignIns: Bucket;
  private readonly attempts: Bucket;
  private readonly allAttempts: Bucket;
  private readonly makers: Bucket;
  private readonly bytes: Bucket;
  private free = Infinity;
  private freeAt = 0;

  constructor(private readonly config: Config) {
    this.signIns = new Bucket(config.signInsPerMinute, 60_000);
    this.allSignIns = new Bucket(SIGN_INS * config.signInsPerMinute, 60_000);
    this.nameSignIns = new Bucket(SIGN_INS * config.signInsPerMinute, 60_000);
    this.attempts = new Bucket(config.attemptsPerMinute, 60_000);
    this.allAttempts = new Bucket(BEHIND * config.attemptsPerMinute, 60_000);
    this.makers = new Bucket(config.makersPerHour, 3_600_000);
    this.bytes = new Bucket(config.addressMegabytes * MB, 86_400_000);
  }

  /**
   * Counts a try to sign in. Whoever signed in under the name on this device before is counted apart from all others,
   * so that they cannot lock the owner out.
   * @param isKnown whether the device is one of the name's
   * @throws HttpError 429 after too many tries at a name, or at many names from an address
   */
  signIn(req: Request, name: string, isKnown: boolean): void {
    const address = addressOf(req);
    if (!this.allSignIns.take(address)) {
      throw tooMany(this.allSignIns, 'too-many', 'Too many tries to sign in; wait a minute.');
    }
    const own = isKnown ? `${address} ${name} known` : `${address} ${name}`;
    if (this.signIns.take(own) && (isKnown || this.nameSignIns.take(name))) return;
    throw tooMany(this.signIns, 'too-many', 'Too many tries at this name; wait a minute.');
  }

  /**
   * Counts an attempt at a published course.
   * @param maker who begins it
   * @throws HttpError 429 when somebody begins more than anybody can run, or an address more than a class
   */
  attempt(req: Request, maker: string): void {
    if (!this.attempts.take(maker)) {
      throw tooMany(this.attempts, 'too-many', 'You begin too many attempts; wait a minute.');
    }
    if (this.allAttempts.take(addressOf(req))) return;
    const words = 'Very many attempts begin on your network just now; wait a minute.';
    throw tooMany(this.allAttempts, 'too-many', words);
  }

  /** @throws HttpError 429 when an address makes very many makers */
  newMaker(req: Request): void {
    if (!this.makers.take(addressOf(req))) throw this.veryMany();
  }

  /** @throws HttpError 429 when an address has made so many makers that it may make none more */
  mayBegin(req: Request): void {
    if (!this.makers.has(addressOf(req))) throw this.veryMany();
  }

  private veryMany(): HttpError {
    const words = 'Very many have begun here just now; come back in an hour.';
    return tooMany(this.makers, 'too-many', words);
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
   * Checks the quota of a maker, with the bin and earlier versions.
   * @param trx the transaction it is to be kept in: two at once would each find room
   * @param maker who keeps it
   * @param bytes by which it grows
   * @throws HttpError 409 when it would be more than is kept for one maker
   */
  async keep(trx: Knex.Transaction, maker: string, bytes: number): Promise<void> {
    if (bytes <= 0 || (await this.over(trx, maker, bytes)) <= 0) return;
    throw new HttpError(
      409,
      'full',
      `That is more than the ${this.config.makerMegabytes} MB kept for one maker, the bin and earlier versions included. Empty the bin, or delete what is not needed.`,
    );
  }

  /** By how many bytes a maker would keep too much; below 0 where there is room. */
  async over(trx: Knex.Transaction, maker: string, bytes: number): Promise<number> {
    const sums = ['courses', 'kits', 'keeps'].map(async (table) => {
      const all = table === 'courses' ? 'bytes + versions_bytes' : 'bytes';
      const [row] = await trx(table)
        .where({ maker })
        .select(trx.raw(`coalesce(sum(${all}), 0) as kept`));
      return Number((row as unknown as { kept: number }).kept);
    });
    const kept = (await Promise.all(sums)).reduce((total, one) => total + one, 0);
    return kept + bytes - this.config.makerMegabytes * MB;
  }

  /** Most courses of a maker. */
  get mostCourses(): number {
    return this.config.makerCourses;
  }

  /** @throws HttpError 409 when a maker has as many courses as are kept, the bin included */
  async anotherCourse(trx: Knex.Transaction, maker: string): Promise<void> {
    const { makerCourses } = this.config;
    const [{ count }] = await trx<CourseRow>('courses').where({ maker }).count({ count: '*' });
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
