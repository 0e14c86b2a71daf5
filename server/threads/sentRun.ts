import * as v from 'valibot';
import { PlayerRunBody, RunBody } from '@/core/protocol';
import { jsonOf, NO_JSON } from '../base/json';
import type { Refusal } from './intake';

const BODIES = { proof: RunBody, player: PlayerRunBody } as const;
export type SentRunKind = keyof typeof BODIES;
export type SentRun<Kind extends SentRunKind> = v.InferOutput<(typeof BODIES)[Kind]>;

/** A request that brings a run, as text. */
export interface SentRunTask<Kind extends SentRunKind = SentRunKind> {
  readonly kind: Kind;
  readonly text: string;
}

const broken = (message: string): Refusal => ({
  refused: { status: 400, code: 'broken', message },
});

/** Reads the text of a request that brings a run: on the answering thread where it is short. */
export function readSentRun<Kind extends SentRunKind>({
  kind,
  text,
}: SentRunTask<Kind>): SentRun<Kind> | Refusal {
  const data = jsonOf(text);
  if (data === undefined) return broken(NO_JSON);
  const read = v.safeParse(BODIES[kind], data, { abortEarly: true });
  if (read.success) return read.output as SentRun<Kind>;
  const [issue] = read.issues;
  return broken(
    `The request is not as it should be: ${v.getDotPath(issue) ?? 'body'}: ${issue.message}.`,
  );
}
