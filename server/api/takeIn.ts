import type { Request } from 'express';
import { textOf } from '../base/bodies';
import { type AnswerTo, taken } from '../threads/pool';
import type { Refusal } from '../threads/intake';
import type { Context } from './context';
import { askerOf } from './session';

/** Characters of a document that are read in a ms, as it is taken to be beforehand. */
const READ_RATE = 1000;

/**
 * Reads the document that a request brings; short ones do not wait for long ones.
 * @param context what the server works with
 * @param req the request, its body as text
 * @param how by which task
 * @throws HttpError 400 when it is none, 429 when its address sent too much
 */
export async function takeIn<Name extends 'takeCourse' | 'takeKit'>(
  context: Context,
  req: Request,
  how: Name,
): Promise<Exclude<AnswerTo<Name>, Refusal>> {
  const text = textOf(req);
  context.limits.sent(req, text.length);
  const party = await askerOf(context, req);
  const answer = await context.intake.run(party, how, text, text.length / READ_RATE);
  return taken(answer as Exclude<AnswerTo<Name>, Refusal> | Refusal);
}
