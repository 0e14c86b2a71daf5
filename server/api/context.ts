import type { Knex } from 'knex';
import type { Config } from '../base/config';
import type { Limits } from './limits';
import type { Lane, Lanes } from '../threads/lane';
import type { Turns } from '../threads/turns';
import type { Verifier } from '../threads/verifier';

/** What every resource works with. */
export interface Context {
  readonly db: Knex;
  readonly config: Config;
  readonly limits: Limits;
  /** Threads for what is taken in, and others for what is drawn and published: neither waits for the other. */
  readonly intake: Lanes;
  readonly pictures: Lane;
  /** Turns at working out what a passphrase comes to: of strangers, and of whoever is known by session or device. */
  readonly passphrases: Turns;
  readonly knownPassphrases: Turns;
  /** Threads that replay runs, for the verifier. */
  readonly replays: Lanes;
  readonly verifier: Verifier;
}
