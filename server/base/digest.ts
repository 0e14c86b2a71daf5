import { createHash } from 'node:crypto';
import type { Run } from '@/core/run';

/** A digest of a text, as hexadecimal. */
export const digestOf = (text: string | Buffer): string =>
  createHash('sha256').update(text).digest('hex');

/** A digest of what a run's player did, whoever sends it in. */
export const inputsDigest = ({ inputs }: Pick<Run, 'inputs'>): string =>
  digestOf(JSON.stringify(inputs)).slice(0, 32);
