import * as v from 'valibot';
import { COURSE_FORMAT, COURSE_VERSION, CourseSchema, type Course } from './schema';

/** Where a document is wrong, as a dotted path (`pieces.3.size.0`), and what is wrong there. */
export interface Problem {
  readonly path: string;
  readonly message: string;
}

/** A document that is no course of this version. `kind` tells a newer version from a broken one. */
export class CourseError extends Error {
  constructor(
    readonly kind: 'broken' | 'newer',
    message: string,
    readonly problems: readonly Problem[] = [],
  ) {
    super(message);
    this.name = 'CourseError';
  }
}

/** Most bytes a course document may have; larger ones are refused unread. */
export const MAX_COURSE_BYTES = 8 * 1024 * 1024;

/**
 * Reads a course from JSON text.
 * @throws CourseError when the text is too large, is cut off, is newer or breaks the schema
 */
export function readCourse(text: string): Course {
  if (text.length > MAX_COURSE_BYTES) {
    const size = (text.length / 1024 / 1024).toFixed(1);
    throw new CourseError('broken', `The file has ${size} MB; a course has at most 8 MB.`);
  }
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    throw new CourseError('broken', 'The file is cut off or is not JSON.');
  }
  return toCourse(data);
}

/**
 * Checks parsed data against the schema; unknown fields are kept.
 * @throws CourseError with every place that is wrong
 */
export function toCourse(data: unknown): Course {
  const head = data as { format?: unknown; version?: unknown } | null;
  if (typeof head !== 'object' || head === null || head.format !== COURSE_FORMAT) {
    throw new CourseError('broken', 'This is not a Stone Hop course.');
  }
  if (typeof head.version === 'number' && head.version > COURSE_VERSION) {
    throw new CourseError(
      'newer',
      `The course was made by a newer Stone Hop (format ${head.version}); this one reads format ${COURSE_VERSION}.`,
    );
  }
  const result = v.safeParse(CourseSchema, data);
  if (!result.success) {
    const problems = result.issues.map((issue) => ({
      path: v.getDotPath(issue) ?? '',
      message: issue.message,
    }));
    const [first] = problems;
    const more = problems.length > 1 ? `, and ${problems.length - 1} more` : '';
    throw new CourseError('broken', `${first.path} ${first.message}${more}.`, problems);
  }
  const list = listForFields(data, result.output);
  const problem = list ? { path: list, message: 'is a list' } : wrongAmong(result.output);
  if (problem) throw new CourseError('broken', `${problem.path} ${problem.message}.`, [problem]);
  return result.output;
}

/**
 * Where a list stands in the place of fields: to the schemas it is something without any, and would be taken
 * for that. Returns the dotted path, or null.
 */
export function listForFields(sent: unknown, taken: unknown, path = ''): string | null {
  if (typeof sent !== 'object' || sent === null) return null;
  if (typeof taken !== 'object' || taken === null) return null;
  if (Array.isArray(sent) !== Array.isArray(taken)) return path;
  for (const key of Object.keys(sent)) {
    const [a, b] = [(sent as Fields)[key], (taken as Fields)[key]];
    if (a === b) continue;
    const found = listForFields(a, b, path === '' ? key : `${path}.${key}`);
    if (found !== null) return found;
  }
  return null;
}
type Fields = Record<string, unknown>;

/** What is wrong with how a course's parts name each other: the first such place, or null. */
function wrongAmong({ pieces, models = {} }: Course): Problem | null {
  const seen = new Set<string>();
  for (const [i, { id, params }] of pieces.entries()) {
    if (seen.has(id)) return { path: `pieces.${i}.id`, message: `"${id}" stands for two pieces` };
    seen.add(id);
    // What is not brought along would be one thing here and another there.
    const model = params?.model;
    if (model !== undefined && model !== '' && !Object.hasOwn(models, String(model))) {
      return { path: `pieces.${i}.params.model`, message: `"${model}" is no model of the course` };
    }
  }
  return null;
}
