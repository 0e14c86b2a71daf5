import type { Course, CueKind, EffectKind, Piece } from '../../course';
import {
  contactRoles,
  contactShapes,
  hasOwnMotion,
  localGeometry,
  pieceName,
  type Role,
} from '../../pieces';

/** The course's rules that say which shapes touch. */
type Rules = Pick<Course, 'collides' | 'shapes'>;

/** Says why a piece cannot be part of a link. Null where it can. */
type Misfit = (rules: Rules, piece: Piece) => string | null;

const anyPiece: Misfit = () => null;

const opens: Misfit = (rules, piece) =>
  hasLock(rules, piece) || contactRoles(rules, piece).includes('goal')
    ? null
    : `${pieceName(piece)} cannot be opened or shut. Only gates, goals and slabs that give way can.`;

const hasLock = (rules: Rules, piece: Piece): boolean =>
  localGeometry(piece).shapes.some(({ lock }) => lock) &&
  contactShapes(rules, piece).some(({ lock }) => lock);

const moves: Misfit = (_, piece) =>
  piece.motion?.length || hasOwnMotion(piece)
    ? null
    : `${pieceName(piece)} has no motion to start or stop.`;

const touches: Misfit = (rules, piece) =>
  contactRoles(rules, piece).length > 0
    ? null
    : `${pieceName(piece)} is scenery: nothing can touch it.`;

const inRole =
  (role: Role, named: string): Misfit =>
  (rules, piece) =>
    contactRoles(rules, piece).includes(role) ? null : `${pieceName(piece)} is no ${named}.`;

const EFFECTS_ON: Readonly<Record<EffectKind, Misfit>> = {
  show: anyPiece,
  hide: anyPiece,
  open: opens,
  shut: opens,
  break: anyPiece,
  start: moves,
  stop: moves,
  carry: anyPiece,
  push: anyPiece,
  gravity: anyPiece,
  speed: anyPiece,
  size: anyPiece,
  still: anyPiece,
  tide: anyPiece,
  message: anyPiece,
  points: anyPiece,
  sound: anyPiece,
  win: anyPiece,
  back: anyPiece,
};

const CUES_OF: Readonly<Record<CueKind, Misfit>> = {
  touched: touches,
  left: touches,
  stood: touches,
  gathered: anyPiece,
  broken: anyPiece,
  'all-gathered': inRole('pickup', 'pickup'),
  start: anyPiece,
  checkpoint: inRole('checkpoint', 'checkpoint'),
  beat: anyPiece,
  timer: anyPiece,
  worth: anyPiece,
  fallen: anyPiece,
  round: anyPiece,
  'time-left': anyPiece,
};

/**
 * Why an effect can do nothing to a piece, as a sentence. Null where it can.
 * @param rules the course's rules that say which shapes touch
 */
export const effectMisfit = (rules: Rules, kind: EffectKind, piece: Piece): string | null =>
  EFFECTS_ON[kind](rules, piece);

/**
 * Why a piece never gives a cue, as a sentence. Null where it can.
 * @param rules the course's rules that say which shapes touch
 */
export const cueMisfit = (rules: Rules, kind: CueKind, piece: Piece): string | null =>
  CUES_OF[kind](rules, piece);
