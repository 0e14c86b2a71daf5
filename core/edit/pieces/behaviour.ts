import * as v from 'valibot';
import {
  MOST_COPIES_ABOUT,
  MOST_LOOSE,
  MOST_MOVERS,
  USUAL_COPIES,
  MotionSchema,
  PieceSchema,
  type Course,
  type MotionKind,
  type Piece,
  type PieceMotion,
  type PieceRole,
  type Thrower,
} from '../../course';
import { inTempo, isDriven, periodOf, parseMotion } from '../../motion';
import { familyOf, localGeometry, mayBeLoose } from '../../pieces';
import { nextCheckpointNumber } from './lay';
import { checkpointLeg } from '../course/legs';
import { changePieces, roundToStored } from './place';

/** What tuning sets of a piece. */
export type TunedKey =
  | 'role'
  | 'mark'
  | 'hurt'
  | 'worth'
  | 'respawn'
  | 'breaks'
  | 'surface'
  | 'oneWay'
  | 'absent'
  | 'loose'
  | 'shape'
  | 'allowance'
  | 'motion'
  | 'wake'
  | 'attach'
  | 'thrower';

/** @throws RangeError in words when a value is none that the document may have */
function checked<T>(schema: v.GenericSchema<T>, value: unknown): T {
  const result = v.safeParse(schema, value);
  if (!result.success) {
    const [issue] = result.issues;
    throw new RangeError(`The value ${issue.message}.`);
  }
  return result.output;
}

/**
 * Sets something of the chosen pieces, or has it be as usual again when nothing is given.
 * @param course the course as it is; it stays so
 * @param choice ids of the pieces it is done to
 * @param key which of what tuning sets
 * @param value the new one, or undefined for the usual
 * @throws RangeError in words when the document may not have the value
 */
export function setBehaviour<K extends TunedKey>(
  course: Course,
  choice: ReadonlySet<string>,
  key: K,
  value: Piece[K] | undefined,
): Course {
  if (value !== undefined) checked(PieceSchema.entries[key] as v.GenericSchema, value);
  const next = changePieces(course, choice, (piece) => {
    if (value === undefined) delete piece[key];
    else (piece as Record<string, unknown>)[key] = structuredClone(value);
  });
  if (value !== undefined && key === 'thrower') checkCopies(course, next);
  return next;
}

/** Gives the chosen pieces a role, or that of their families; each checkpoint gets the next number. */
export function setRole(
  course: Course,
  choice: ReadonlySet<string>,
  role: PieceRole | undefined,
): Course {
  const leg = checkpointLeg(course);
  const others = { ...course, pieces: course.pieces.filter(({ id }) => !choice.has(id)) };
  let number = nextCheckpointNumber(others, leg);
  return changePieces(course, choice, (piece) => {
    if (role) piece.role = role;
    else delete piece.role;
    delete piece.mark;
    if (role === 'checkpoint') piece.mark = { number: number++, ...(leg > 1 ? { leg } : {}) };
    if (role === 'goal' && leg > 1) piece.mark = { leg };
  });
}

/** Copies that all throwers of a course may have about at once. */
export const copiesAbout = ({ pieces }: Pick<Course, 'pieces'>): number =>
  pieces.reduce((sum, { thrower }) => sum + (thrower ? (thrower.most ?? USUAL_COPIES) : 0), 0);

/** @throws RangeError in words when an edit has more copies about at once than a run can bear */
function checkCopies(before: Course, after: Course): void {
  const copies = copiesAbout(after);
  if (copies <= MOST_COPIES_ABOUT || copies <= copiesAbout(before)) return;
  throw new RangeError(
    `Throwers would have ${copies} copies about at once; all together at most ${MOST_COPIES_ABOUT}.`,
  );
}

/**
 * Has the chosen pieces fall and be pushed, or stand firm.
 * @throws RangeError in words when one of them cannot, or there would be too many
 */
export function setLoose(course: Course, choice: ReadonlySet<string>, loose: boolean): Course {
  if (!loose) return setBehaviour(course, choice, 'loose', undefined);
  const chosen = course.pieces.filter(({ id }) => choice.has(id));
  const firm = chosen.find((piece) => !mayBeLoose(piece));
  if (firm) {
    const { label } = familyOf(firm.family);
    throw new RangeError(
      firm.motion || firm.attach || firm.thrower
        ? `${firm.name ?? label} moves by itself, so it cannot be loose as well.`
        : `${firm.name ?? label} cannot be loose.`,
    );
  }
  const others = course.pieces.filter((piece) => piece.loose && !choice.has(piece.id)).length;
  if (others + chosen.length > MOST_LOOSE) {
    throw new RangeError(`A course has at most ${MOST_LOOSE} loose pieces.`);
  }
  return setBehaviour(course, choice, 'loose', true);
}

/** Each motion as it is when it is added. */
export const NEW_MOTIONS: Readonly<Record<MotionKind, PieceMotion>> = {
  path: { kind: 'path', points: [[4, 0, 0]], speed: 2 },
  poses: { kind: 'poses', poses: [{ at: [0, 2, 0], time: 1.5, wait: 0.5 }] },
  swing: { kind: 'swing', axis: 'z', angle: 40, period: 3, pivot: [0, 4, 0] },
  spin: { kind: 'spin', axis: 'y', period: 6 },
  circle: { kind: 'circle', axis: 'y', radius: 2, period: 6 },
  hop: { kind: 'hop', height: 1.5, along: 2, period: 1.2 },
  bob: { kind: 'bob', height: 0.5, period: 2.5 },
  drift: { kind: 'drift', velocity: [1, 0, 0] },
  chase: { kind: 'chase', range: 8, speed: 3, home: true },
  arrive: { kind: 'arrive', from: [0, -3, 0], distance: 6 },
};

const DRIVEN: readonly MotionKind[] = ['drift', 'chase', 'arrive'];
/** Most motions one piece has. */
export const MOST_MOTIONS = 3;

/**
 * Gives the chosen pieces one more motion.
 * @throws RangeError in words when they cannot have it together with what they have
 */
export function addMotion(course: Course, choice: ReadonlySet<string>, kind: MotionKind): Course {
  for (const piece of course.pieces) {
    if (!choice.has(piece.id)) continue;
    if (piece.loose) throw new RangeError('A loose piece falls and is pushed: it has no motion.');
    const has = piece.motion ?? [];
    if (has.length >= MOST_MOTIONS) throw new RangeError('A piece has at most three motions.');
    if (DRIVEN.includes(kind) && has.some((motion) => DRIVEN.includes(motion.kind))) {
      throw new RangeError('It already follows the runner or drifts; only one of these at a time.');
    }
  }
  const movers = course.pieces.filter(({ id, motion }) => motion || choice.has(id)).length;
  if (movers > MOST_MOVERS) {
    throw new RangeError(`A course has at most ${MOST_MOVERS} pieces that move.`);
  }
  return changePieces(course, choice, (piece) => {
    piece.motion = [...(piece.motion ?? []), structuredClone(NEW_MOTIONS[kind])];
  });
}

/**
 * Changes a motion of the chosen pieces, in its place among their motions.
 * @param course the course as it is; it stays so
 * @param choice ids of the pieces it is done to
 * @param index which of its motions, from 0
 * @param change the fields that become others
 * @throws RangeError in words when the document may not have it
 */
export function changeMotion(
  course: Course,
  choice: ReadonlySet<string>,
  index: number,
  change: Readonly<Record<string, unknown>>,
): Course {
  return changePieces(course, choice, (piece) => {
    const motion = piece.motion?.[index];
    if (!motion) return;
    const next = Object.fromEntries(
      Object.entries({ ...motion, ...change }).filter(([, value]) => value !== undefined),
    );
    piece.motion![index] = checked(MotionSchema, next);
  });
}

/** The chosen pieces without one of their motions. */
export const removeMotion = (course: Course, choice: ReadonlySet<string>, index: number): Course =>
  changePieces(course, choice, (piece) => {
    piece.motion?.splice(index, 1);
    if (piece.motion?.length === 0) {
      delete piece.motion;
      delete piece.wake;
    }
  });

/** Why the chosen pieces cannot go along with another, as a sentence. Null where they can. */
export function attachMisfit(
  course: Pick<Course, 'pieces'>,
  choice: ReadonlySet<string>,
  host: Pick<Piece, 'id' | 'attach'>,
): string | null {
  let next: string | undefined = host.id;
  for (let i = 0; next !== undefined && i <= course.pieces.length; i++) {
    if (choice.has(next)) return 'That piece goes along with this one already, or is the same.';
    const id: string = next;
    const on = id === host.id ? host : course.pieces.find((piece) => piece.id === id);
    next = on?.attach;
  }
  return null;
}

/**
 * Has the chosen pieces go along with another, or with nothing.
 * @throws RangeError in words when that one goes along with them already
 */
export function attachTo(
  course: Course,
  choice: ReadonlySet<string>,
  host: string | undefined,
): Course {
  const on = course.pieces.find(({ id }) => id === host);
  const why = on ? attachMisfit(course, choice, on) : null;
  if (why) throw new RangeError(why);
  return setBehaviour(course, choice, 'attach', host);
}

/** A thrower as it is when a piece becomes one. */
export const NEW_THROWER: Thrower = {
  what: 'boulder',
  size: 0.8,
  interval: 2,
  speed: 7,
  rise: 15,
  life: 5,
  most: 6,
};

/** Sets the allowance of a family or role in this course, or takes it away. */
export function setAllowance(
  course: Course,
  of: { readonly family: string } | { readonly role: 'solid' | 'hazard' | 'pickup' | 'region' },
  allowance: Piece['allowance'],
): Course {
  const { allowances = {}, ...rest } = course;
  const which = 'family' in of ? 'families' : 'roles';
  const name = 'family' in of ? of.family : of.role;
  const { [name]: _, ...others } = (allowances[which] ?? {}) as Record<string, unknown>;
  const table = allowance ? { ...others, [name]: allowance } : others;
  const { [which]: __, ...left } = allowances;
  const next = Object.keys(table).length > 0 ? { ...left, [which]: table } : left;
  return (Object.keys(next).length > 0 ? { ...rest, allowances: next } : rest) as Course;
}

/**
 * Has a mover be earlier in all its motions, those of its family too, by some seconds; below 0 later.
 * What follows the runner or chance has no phase.
 */
export const shiftPhase = (course: Course, id: string, seconds: number): Course =>
  changePieces(course, new Set([id]), (piece) => {
    const { tempo } = course;
    const later = (phase: number, period: number) => {
      const next = phase + seconds / period;
      return roundToStored(next - Math.floor(next));
    };
    piece.motion = piece.motion?.map((told) => {
      if (isDriven(told)) return told;
      const { phase: was, ...rest } = told as typeof told & { phase?: number };
      const phase = later(was ?? 0, periodOf(inTempo(parseMotion(told), tempo)));
      return (phase === 0 ? rest : { ...rest, phase }) as PieceMotion;
    });
    if (!piece.motion) delete piece.motion;
    const family = familyOf(piece.family);
    const own = localGeometry(piece as Piece).motion;
    if (own && family.params.some(({ key }) => key === 'phase')) {
      const was = Number(piece.params?.phase ?? 0);
      const phase = later(was, periodOf(inTempo(own, tempo)));
      piece.params = { ...piece.params, phase };
    }
  });

/** By how many seconds a mover's first motion by a clock has gone by when it begins; 0 where it has none. */
export function phaseSeconds(course: Course, id: string): number {
  const piece = course.pieces.find((one) => one.id === id);
  if (!piece) return 0;
  const told = piece.motion?.find((one) => !isDriven(one)) as { phase?: number } | undefined;
  if (told) {
    const period = periodOf(inTempo(parseMotion(told as never), course.tempo));
    return (told.phase ?? 0) * period;
  }
  const own = localGeometry(piece).motion;
  return own ? Number(piece.params?.phase ?? 0) * periodOf(inTempo(own, course.tempo)) : 0;
}
