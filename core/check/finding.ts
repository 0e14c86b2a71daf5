import {
  changePieces,
  movePieces,
  removeLink,
  removePieces,
  setBehaviour,
  setDial,
  setTurn,
  type TunedKey,
} from '../edit';
import type { Course, Piece } from '../course';
import type { Vec3 } from '../geometry';
import { addStart } from './start';

/** What a fix does, as data: findings made elsewhere can be mended here. */
export type FixEdit =
  | { readonly do: 'start' }
  | { readonly do: 'remove'; readonly id: string }
  | { readonly do: 'move'; readonly id: string; readonly by: Vec3 }
  | { readonly do: 'turn'; readonly id: string; readonly turn: Vec3 }
  | { readonly do: 'untune'; readonly id: string; readonly key: TunedKey }
  | { readonly do: 'unlink'; readonly id: string }
  | {
      readonly do: 'param';
      readonly id: string;
      readonly key: string;
      readonly value: number;
    };

export interface Fix {
  readonly label: string;
  readonly edit: FixEdit;
}

/** Something wrong with a course, in plain words. */
export interface Finding<Id extends string = string> {
  readonly rule: Id;
  /** `error` keeps the course from being run or shared; `notice` does not. */
  readonly weight: 'error' | 'notice';
  readonly message: string;
  /** The piece concerned, and where to look. */
  readonly piece?: string;
  readonly at?: Vec3;
  /** The piece it stands in, beside or against, where there is one. */
  readonly other?: string;
  readonly fix?: Fix;
}

export type Check<Id extends string = string> = (course: Course) => Finding<Id>[];

/** One rule of what is looked for, with the name its findings carry. */
export interface CheckRule<Id extends string> {
  readonly id: Id;
  readonly check: Check<Id>;
}

/** Findings of one rule that are told; more of the same kind add nothing. */
export const MOST_TOLD = 12;

/**
 * @param piece the piece concerned, where one is to look
 * @param rule the rule that found it
 * @param weight whether it keeps the course from being run
 * @param message a whole sentence
 * @param fix what would mend it, if anything
 */
export const pieceFinding = <const Id extends string>(
  piece: Piece,
  rule: Id,
  weight: Finding['weight'],
  message: string,
  fix?: Fix,
): Finding<Id> => ({
  rule,
  weight,
  message,
  piece: piece.id,
  at: piece.at,
  ...(fix ? { fix } : {}),
});

/** The course with a fix done. */
export function applyFix(course: Course, { edit }: Fix): Course {
  if (edit.do === 'start') return addStart(course);
  const one = new Set([edit.id]);
  if (edit.do === 'remove') return removePieces(course, one);
  if (edit.do === 'untune') return setBehaviour(course, one, edit.key, undefined);
  if (edit.do === 'unlink') return removeLink(course, edit.id);
  if (edit.do === 'param')
    return setDial(course, one, { kind: 'param', key: edit.key }, edit.value);
  if (edit.do === 'move') return movePieces(course, one, edit.by);
  return changePieces(course, one, (piece) => {
    setTurn(piece, edit.turn);
  });
}
