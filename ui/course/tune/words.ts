import type {
  CameraKind,
  HurtKind,
  Material,
  MotionKind,
  Piece,
  PieceRole,
  SoundName,
} from '@/core/course';
import { familyOf } from '@/core/pieces';

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
  const { id, group, worth } = familyOf(piece.family);
  if (group === 'hazards') return 'Hazard, sends the runner back';
  if (group === 'movers') return 'Mover, carries the runner';
  if (worth) return `Pickup, worth ${piece.worth ?? worth}`;
  if (id === 'portal') return 'Carries to the next of its number';
  if (id === 'gate') return 'Shut until its switch is touched';
  if (id === 'switch') return 'Opens the gates of its number';
  if (group === 'regions') return 'Region, felt and not seen';
  if (group === 'scenery') return 'Scenery';
  if (id === 'cairn') return 'Checkpoint';
  if (id === 'lantern') return 'Goal';
  if (id === 'start') return 'Where runs begin';
  return 'Solid';
}

/** What a piece is called. */
export const pieceName = (piece: Piece | undefined): string =>
  piece ? (piece.name ?? familyOf(piece.family).label) : 'Something gone';
