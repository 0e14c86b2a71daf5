import type { RequestHandler } from 'express';
import { busy } from '../threads/turns';
import { addressOf } from './limits';

/** Most requests that wait, of all addresses together. */
const MOST_WAITING = 5000;
/** Time in which half of what an address asked for is forgotten, ms. */
const HALF_TIME = 1000;
/** Most addresses that are known before those that asked for nothing of late are forgotten. */
const MOST_KNOWN = 10_000;

/**
 * Lets requests in by turns of their addresses: the address that asked for least of late comes first. Where the thread
 * that answers has more to do than it can, whoever asks for little does not wait for those who ask for much.
 */
export class Admission {
  /** Requests that wait, by address, and their number. */
  private readonly waiting = new Map<string, (() => void)[]>();
  private count = 0;
  private readonly asked = new Map<string, { count: number; at: number }>();

  constructor(private readonly now: () => number = () => performance.now()) {}

  /**
   * @param address who asks
   * @param go lets the request in
   * @returns false where too many wait to wait as well
   */
  enter(address: string, go: () => void): boolean {
    if (this.count >= MOST_WAITING) return false;
    const own = this.waiting.get(address);
    if (own) own.push(go);
    else this.waiting.set(address, [go]);
    if (this.count++ === 0) setImmediate(() => this.drain());
    return true;
  }

  private drain(): void {
    // One at a turn of the event loop, which accepts one connection at a turn: with more, a connection behind sixty
    // others waited for more than a second.
    let [first, least] = ['', Infinity];
    for (const address of this.waiting.keys()) {
      const lately = this.lately(address);
      if (lately < least) [first, least] = [address, lately];
    }
    const own = this.waiting.get(first)!;
    const go = own.shift()!;
    if (own.length === 0) this.waiting.delete(first);
    this.note(first);
    // Asked for first: whatever becomes of this request, the others have their turn.
    if (--this.count > 0) setImmediate(() => this.drain());
    go();
  }

  private lately(address: string): number {
    const known = this.asked.get(address);
    return known ? known.count * 0.5 ** ((this.now() - known.at) / HALF_TIME) : 0;
  }

  private note(address: string): void {
    this.asked.set(address, { count: this.lately(address) + 1, at: this.now() });
    if (this.asked.size <= MOST_KNOWN) return;
    for (const key of this.asked.keys()) if (this.lately(key) < 0.5) this.asked.delete(key);
  }
}

/** Lets requests in by turns of their addresses. Answers 503 where too many wait. */
export function byTurns(): RequestHandler {
  const admission = new Admission();
  return (req, _res, next) => {
    if (!admission.enter(addressOf(req), () => next())) next(busy());
  };
}
