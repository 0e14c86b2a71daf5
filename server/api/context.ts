import type { Knex } from 'knex';
import type { Config } from '../config';
import type { Limits } from '../limits';
import type { Pool } from '../threads/pool';
import type { Verifier } from '../threads/verifier';

/** What every resource works with. */
export interface Context {
  readonly db: Knex;
  readonly config: Config;
  readonly limits: Limits;
  /** Threads for what is taken in and drawn. */
  readonly pool: Pool;
  readonly verifier: Verifier;
}
