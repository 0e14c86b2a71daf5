import { deflateRawSync, inflateRawSync } from 'node:zlib';
import * as v from 'valibot';
import { checkPieces } from '@/core/check';
import { KitError, readKit, KitSchema } from '@/core/edit';
import {
  CourseError,
  CourseSchema,
  toCourse,
  withoutPrivate,
  withoutUnused,
  type Course,
} from '@/core/course';
import { extentOf, plannedRoute } from '@/core/route';
import { courseHash } from '@/core/run';
import { digestOf } from '../base/digest';
import { jsonOf, NO_JSON } from '../base/json';
import { pieceMarks } from './copies';
import { unknownLength } from './unknown';

/** Most characters of a document that may stand in fields this program does not know. */
const MOST_UNKNOWN = 20_000;

/** What is said of a course without reading all of it. */
export interface Summary {
  readonly name: string;
  readonly kind: string;
  readonly runner: string;
  readonly pieces: number;
  readonly bytes: number;
  /** Metres; straight from mark to mark where the way would have to be looked for, which takes too long here. */
  readonly length: number;
  /** Whether that is the length of the way. */
  readonly measured: boolean;
  /** Hash over what a run feels. */
  readonly hash: string;
  /** Digest of what others would see of it. */
  readonly shown: string;
}

/** A course that may be kept: its document, the same packed, and its summary. */
export interface TakenCourse extends Summary {
  readonly document: string;
  readonly packed: Uint8Array;
  /** The revision it says it comes from; the first where it says none. */
  readonly revision: number;
  /** The name it was given where it was made, if any. */
  readonly id: string | null;
  /** The link of the course it is a copy of, if any. */
  readonly copyOf: string | null;
  /** Marks of its pieces; see copies. */
  readonly marks: readonly string[];
}

/** Why something sent in is not kept. */
export interface Refusal {
  readonly refused: {
    status: number;
    code: string;
    message: string;
    details?: Record<string, unknown>;
  };
}

const refuse = (code: string, message: string, details?: Record<string, unknown>): Refusal => ({
  refused: { status: 400, code, message, ...(details ? { details } : {}) },
});

const Sent = v.object({
  revision: v.optional(v.pipe(v.number(), v.integer(), v.minValue(1)), 1),
  /** Chosen by chance where a course was begun without the server, so that it is the same when it is sent again. */
  id: v.optional(v.pipe(v.string(), v.regex(/^[\w-]{12}$/)), undefined),
  course: v.unknown(),
});

/** Reads the text of a request that brings a course, and says what is to be kept of it. */
export function takeCourse(body: string): TakenCourse | Refusal {
  const data = jsonOf(body);
  if (data === undefined) return refuse('broken', NO_JSON);
  const sent = v.safeParse(Sent, data);
  if (!sent.success) return refuse('broken', 'The request is not as it should be.');
  let course: Course;
  try {
    course = toCourse(sent.output.course);
  } catch (error) {
    if (!(error instanceof CourseError)) throw error;
    return refuse('broken', error.message, { places: error.problems.slice(0, 20) });
  }
  if (unknownLength(CourseSchema, course) > MOST_UNKNOWN) {
    return refuse('broken', 'The course has more in fields of no known name than is kept.');
  }
  const wrong = checkPieces(course)[0];
  if (wrong) return refuse('broken', wrong.message, { piece: wrong.piece });
  const kept = withoutUnused(course);
  const document = JSON.stringify(kept);
  return {
    ...summaryOf(kept, document),
    document,
    packed: pack(document),
    revision: sent.output.revision,
    id: sent.output.id ?? null,
    copyOf: course.origins?.[0]?.slug ?? null,
    marks: pieceMarks(course),
  };
}

/** What is said of a course. */
export function summaryOf(course: Course, document: string): Summary {
  const way = plannedRoute(course);
  return {
    name: course.name,
    kind: course.kind,
    runner: course.runner.kind,
    pieces: course.pieces.length,
    bytes: Buffer.byteLength(document),
    length: inTenths(extentOf(way).length),
    measured: way.from !== 'marks',
    hash: courseHash(course),
    shown: lookOf(shownOf(course)),
  };
}

/** Metres as they are kept. */
export const inTenths = (metres: number): number => Math.round(metres * 10) / 10;

/** A digest of a document as others may have it, by which it is asked for. */
export const lookOf = (shown: string): string => digestOf(shown).slice(0, 32);

/** The document as others may have it. */
export const shownOf = (course: Course): string => JSON.stringify(withoutPrivate(course));

/** A document as earlier versions are kept: much the same over and over, so it is packed. */
export const pack = (document: string): Uint8Array => deflateRawSync(document, { level: 3 });
export const unpack = (packed: Uint8Array): string => inflateRawSync(packed).toString();

/** An assembly that may be kept. */
export interface TakenKit {
  readonly document: string;
  readonly name: string;
  readonly pieces: number;
  readonly bytes: number;
}

/** Reads the text of a request that brings an assembly. */
export function takeKit(body: string): TakenKit | Refusal {
  const data = jsonOf(body) as { kit?: unknown } | null | undefined;
  if (data === undefined) return refuse('broken', NO_JSON);
  try {
    const kit = readKit(JSON.stringify(data?.kit ?? null));
    if (unknownLength(KitSchema, kit) > MOST_UNKNOWN) {
      return refuse('broken', 'The kit has more in fields of no known name than is kept.');
    }
    const document = JSON.stringify(kit);
    const bytes = Buffer.byteLength(document);
    return { document, name: kit.name, pieces: kit.pieces.length, bytes };
  } catch (error) {
    if (!(error instanceof KitError)) throw error;
    return { refused: { status: 422, code: 'unsound', message: error.message } };
  }
}
