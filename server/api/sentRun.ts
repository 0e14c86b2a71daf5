import type { Request } from 'express';
import { LONG_BODY, textOf } from '../base/bodies';
import { taken } from '../threads/pool';
import { readSentRun, type SentRun, type SentRunKind } from '../threads/sentRun';
import type { Context } from './context';
import { askerOf } from './session';

/** Characters of a run that are read in a ms, as it is taken to be beforehand. */
const READ_RATE = 2000;

/**
 * The run that a request brings; a long one is read on another thread.
 * @param context what the server works with
 * @param req the request, its body as text
 * @param kind what else its body has to hold
 * @throws HttpError 400 when it is none
 */
export async function sentRun<Kind extends SentRunKind>(
  context: Context,
  req: Request,
  kind: Kind,
): Promise<SentRun<Kind>> {
  const task = { kind, text: textOf(req) };
  if (task.text.length <= LONG_BODY) return taken(readSentRun(task));
  const party = await askerOf(context, req);
  const read = context.intake.run(party, 'readSentRun', task, task.text.length / READ_RATE);
  return taken((await read) as SentRun<Kind>);
}
