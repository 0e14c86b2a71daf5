import * as v from 'valibot';
import { type Run, RunSchema } from '../run';
import { slugOf } from './courseFile';

/** A text that is no run, with words for whoever opened it. */
export class RunFileError extends Error {}

/** A run as the text of a file. */
export const toRunFile = (run: Run): string => `${JSON.stringify(run)}\n`;

/** A file name made of the course's name and the run's time. */
export const runFileName = (course: string, { claim }: Pick<Run, 'claim'>): string =>
  `${slugOf(course)}-${claim.toFixed(3).replace('.', '-')}.run.json`;

/**
 * Reads the text of a run's file.
 * @throws RunFileError with what is wrong with it
 */
export function readRunFile(text: string): Run {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    throw new RunFileError('The file is cut off or is not JSON.');
  }
  const read = v.safeParse(RunSchema, data);
  if (read.success) return read.output;
  const [issue] = read.issues;
  throw new RunFileError(`${v.getDotPath(issue) ?? 'run'} ${issue.message}`);
}
