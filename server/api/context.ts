import type { Knex } from 'knex';
import type { Config } from '../config';
import type { Verifier } from '../verify/verifier';

/** What every resource works with. */
export interface Context {
  readonly db: Knex;
  readonly config: Config;
  readonly verifier: Verifier;
}
