import type {
  CameraKind,
  HurtKind,
  Material,
  MotionKind,
  Piece,
  PieceRole,
  SoundName,
} from '@/core/course';
import { familyOf, type FamilyGroup, pieceName as nameOfPiece } from '@/core/pieces';

// What the parts of tuning are called, wherever they are shown.

export const MOTION_WORDS: Record<MotionKind, string> = {
  path: 'Path',
  poses: 'Poses',
  swing: 'Swing',
  spin: 'Spin',
  circle: 'Circle',
  hop: 'Hop',
  bob: 'Bob',
  drift: 'Set speed',
  chase: 'Chase',
  arrive: 'Slide into place',
};

export const ROLE_WORDS: Record<PieceRole, string> = {
  solid: 'Solid',
  hazard: 'Hazard',
  pickup: 'Pickup',
  scenery: 'Scenery',
  checkpoint: 'Checkpoint',
  goal: 'Goal',
  region: 'Region',
};

export const HURT_WORDS: Record<HurtKind, string> = {
  back: 'Back to the checkpoint',
  push: 'Thrown off',
  slow: 'Slowed',
};

export const SOUND_WORDS: Record<SoundName, string> = {
  bell: 'Bell',
  horn: 'Horn',
  knock: 'Knock',
  chime: 'Chime',
};

export const CAMERA_WORDS: Record<CameraKind, string> = {
  side: 'Side-on',
  behind: 'Behind',
  above: 'Above',
  fixed: 'Stays',
};

export const MATERIAL_WORDS: Record<Material, string> = {
  stone: 'Stone',
  slate: 'Slate',
  timber: 'Timber',
  rope: 'Rope',
  metal: 'Metal',
  ice: 'Ice',
  moss: 'Moss',
  glow: 'Glow',
};

/** What a piece is to the runner. */
export function roleWords(piece: Piece): string {
  if (piece.role) return ROLE_WORDS[piece.role];
  const { does, group, worth } = familyOf(piece.family);
  if (worth) return `Pickup, worth ${piece.worth ?? worth}`;
  return does ?? GROUP_WORDS[group] ?? 'Solid';
}

/** What the pieces of a group are to the runner. */
const GROUP_WORDS: Partial<Record<FamilyGroup, string>> = {
  hazards: 'Hazard, sends the runner back',
  movers: 'Mover, carries the runner',
  regions: 'Region, felt and not seen',
  scenery: 'Scenery',
};

/** What a piece is called, if it is still there. */
export const pieceName = (piece: Piece | undefined): string =>
  piece ? nameOfPiece(piece) : 'Something gone';
