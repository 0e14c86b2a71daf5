import { create, type Draft } from 'mutative';
import type { Course, Piece } from '../../course';
import { checkpointNumber, familyOf, legOf, markOf } from '../../pieces';
import { freshIds } from './ids';
import { checkpointLeg, nextLeg, withLegs } from '../course/legs';
import { withoutTies } from '../course/links';
import { roundToStored } from './place';

/** A piece before it is laid: everything but its id. */
export type PieceInHand = Pick<
  Piece,
  | 'family'
  | 'at'
  | 'turn'
  | 'size'
  | 'params'
  | 'look'
  | 'name'
  | 'flip'
  | 'outline'
  | 'line'
  | 'collision'
  | 'role'
  | 'hurt'
  | 'worth'
  | 'respawn'
  | 'breaks'
  | 'surface'
  | 'oneWay'
  | 'shape'
  | 'allowance'
  | 'absent'
  | 'loose'
  | 'motion'
  | 'wake'
  | 'attach'
  | 'thrower'
  | 'group'
  | 'layer'
>;

/** The course with one more piece. Cairns, starts and goals without a number get the next one. */
export function layPiece(course: Course, piece: PieceInHand): Course {
  return layPieces(course, [piece]);
}

/** The course with more pieces, in the order given; their ids follow from those in use. */
export function layPieces(course: Course, pieces: readonly PieceInHand[]): Course {
  const nextId = freshIds(course);
  return create(course, (draft) => {
    for (const piece of pieces) {
      familyOf(piece.family);
      const laid: Piece = { ...tidied(piece), id: nextId() };
      NUMBERED[laid.family]?.(draft, laid);
      numberOwnCheckpoint(draft, laid);
      draft.pieces.push(laid);
    }
  });
}

/** Families whose pieces get a number or a leg when they are laid without one. */
const NUMBERED: Readonly<Record<string, (draft: Draft<Course>, laid: Piece) => void>> = {
  cairn: numberCairn,
  start: numberLeg('start'),
  lantern: numberLeg('goal'),
};

function numberCairn(draft: Draft<Course>, laid: Piece): void {
  if (laid.params?.number !== undefined) return;
  const leg = Number(laid.params?.leg ?? checkpointLeg(draft));
  const number = nextCheckpointNumber(draft, leg);
  if (number > 1) laid.params = { ...laid.params, number };
  if (leg > 1) laid.params = { ...laid.params, leg };
}

/** Numbers a piece that is a checkpoint by its role. */
function numberOwnCheckpoint(draft: Draft<Course>, laid: Piece): void {
  if (laid.role !== 'checkpoint' || laid.mark?.number !== undefined) return;
  const leg = laid.mark?.leg ?? checkpointLeg(draft);
  const number = nextCheckpointNumber(draft, leg);
  laid.mark = { ...laid.mark, number, ...(leg > 1 ? { leg } : {}) };
}

/** Gives a start or a goal the first leg that lacks one; a course of one leg gets another where need be. */
function numberLeg(mark: 'start' | 'goal') {
  return (draft: Draft<Course>, laid: Piece): void => {
    if (laid.params?.leg !== undefined) return;
    const leg = nextLeg(draft, mark) ?? 1;
    if (leg > 1) laid.params = { ...laid.params, leg };
    if (leg > (draft.legs?.length ?? 1)) draft.legs = withLegs(draft, leg);
  };
}

/** The piece with its numbers as fine as they are kept, and no turn where there is none. */
function tidied({ turn, ...piece }: PieceInHand): PieceInHand {
  const three = (v: readonly number[]) => v.map(roundToStored) as Piece['at'];
  return {
    ...piece,
    at: three(piece.at),
    ...(turn?.some((v) => v !== 0) ? { turn: three(turn) } : {}),
    ...(piece.size ? { size: three(piece.size) } : {}),
  };
}

/** The number after those of a leg's checkpoints. */
export function nextCheckpointNumber(course: Course, leg: number): number {
  const numbers = course.pieces
    .filter((piece) => markOf(piece) === 'checkpoint' && legOf(piece) === leg)
    .map(checkpointNumber);
  return Math.max(0, ...numbers) + 1;
}

/** The course without the pieces, and without what was tied to them alone. */
export function removePieces(course: Course, choice: ReadonlySet<string>): Course {
  const left = { ...course, pieces: course.pieces.filter(({ id }) => !choice.has(id)) };
  return withoutTies(left, choice);
}
