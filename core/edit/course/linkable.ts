import {
  CUE_TRAITS,
  EFFECT_TRAITS,
  type Course,
  type CueKind,
  type EffectKind,
  type Piece,
} from '../../course';
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

const hasRole = (rules: Rules, piece: Piece, role: Role): boolean =>
  contactRoles(rules, piece).includes(role);

const hasLock = (rules: Rules, piece: Piece): boolean =>
  localGeometry(piece).shapes.some(({ lock }) => lock) &&
  contactShapes(rules, piece).some(({ lock }) => lock);

type Need = NonNullable<
  (typeof EFFECT_TRAITS)[EffectKind]['needs'] | (typeof CUE_TRAITS)[CueKind]['needs']
>;

/** For each thing a link may need of a piece: if the piece has it, and what is said of one that has not. */
const NEEDS: Readonly<
  Record<Need, { has: (rules: Rules, piece: Piece) => boolean; lacks: string }>
> = {
  lock: {
    has: (rules, piece) => hasLock(rules, piece) || hasRole(rules, piece, 'goal'),
    lacks: 'cannot be opened or shut. Only gates, goals and slabs that give way can.',
  },
  motion: {
    has: (_, piece) => !!piece.motion?.length || hasOwnMotion(piece),
    lacks: 'has no motion to start or stop.',
  },
  touch: {
    has: (rules, piece) => contactRoles(rules, piece).length > 0,
    lacks: 'has nothing that can be touched.',
  },
  pickup: { has: (rules, piece) => hasRole(rules, piece, 'pickup'), lacks: 'is no pickup.' },
  checkpoint: {
    has: (rules, piece) => hasRole(rules, piece, 'checkpoint'),
    lacks: 'is no checkpoint.',
  },
};

const misfit = (need: Need | undefined, rules: Rules, piece: Piece): string | null =>
  need === undefined || NEEDS[need].has(rules, piece)
    ? null
    : `${pieceName(piece)} ${NEEDS[need].lacks}`;

/**
 * Why an effect can do nothing to a piece, as a sentence. Null where it can.
 * @param rules the course's rules that say which shapes touch
 */
export const effectMisfit = (rules: Rules, kind: EffectKind, piece: Piece): string | null =>
  misfit(EFFECT_TRAITS[kind].needs, rules, piece);

/**
 * Why a piece never gives a cue, as a sentence. Null where it can.
 * @param rules the course's rules that say which shapes touch
 */
export const cueMisfit = (rules: Rules, kind: CueKind, piece: Piece): string | null =>
  misfit(CUE_TRAITS[kind].needs, rules, piece);
