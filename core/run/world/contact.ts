import type { Touch } from '../../collision';

/** The first touch of a traced way, and what was touched. */
export interface Contact extends Touch {
  collider: number;
}

export const newContact = (): Contact => ({
  t: 1,
  nx: 0,
  ny: 0,
  nz: 0,
  top: 0,
  edge: false,
  collider: -1,
});
