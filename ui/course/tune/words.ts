import type {
  CameraKind,
  CueKind,
  EffectKind,
  HurtKind,
  Link,
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

export const CUE_WORDS: Record<CueKind, string> = {
  touched: 'Touched',
  left: 'Left',
  stood: 'Stood in for',
  gathered: 'So many gathered',
  broken: 'Broken',
  'all-gathered': 'All of these gathered',
  start: 'Run started',
  checkpoint: 'Checkpoint reached',
  beat: 'Every so many beats',
  timer: 'Every so many seconds',
  worth: 'So much worth gathered',
  fallen: 'So many falls',
  round: 'So many rounds done',
  'time-left': 'So much time left',
};

export const EFFECT_WORDS: Record<EffectKind, string> = {
  show: 'Show',
  hide: 'Hide',
  open: 'Open',
  shut: 'Shut',
  break: 'Break',
  start: 'Start moving',
  stop: 'Stop moving',
  carry: 'Carry the runner to',
  push: 'Push the runner',
  gravity: 'Gravity',
  speed: 'Pace',
  size: 'Size of the runner',
  still: 'Controls off',
  tide: 'Move the tide',
  message: 'Message',
  points: 'Points',
  sound: 'Sound',
  win: 'Win',
  back: 'Back to the checkpoint',
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

const named = (pieces: readonly Piece[], ids: readonly string[] | undefined): string => {
  if (!ids || ids.length === 0) return '';
  const first = pieceName(pieces.find(({ id }) => id === ids[0]));
  return ids.length === 1 ? first : `${first} and ${ids.length - 1} more`;
};

/** A link in one line: what happens, and what follows. */
export function linkWords({ cue, effects }: Link, pieces: readonly Piece[]): string {
  const seconds = cue.seconds ? ` ${cue.seconds} s` : '';
  const all = cue.all && (cue.pieces?.length ?? 0) > 1 ? 'All of ' : '';
  const count = cue.count ? ` ${cue.count}` : '';
  const when: Record<CueKind, string> = {
    touched: `${all}${named(pieces, cue.pieces)} touched`,
    left: `${named(pieces, cue.pieces)} left`,
    stood: `${named(pieces, cue.pieces)} stood in for${seconds}`,
    gathered: `${cue.count ?? 1} gathered`,
    broken: `${all}${named(pieces, cue.pieces)} broken`,
    'all-gathered': `${named(pieces, cue.pieces)} gathered`,
    start: 'Run started',
    checkpoint: cue.pieces
      ? `${all}${named(pieces, cue.pieces)} reached`
      : 'Any checkpoint reached',
    beat: cue.count === 1 ? 'Every beat' : `Every${count} beats`,
    timer: `Every${seconds}`,
    worth: `Worth of ${cue.count ?? 1} gathered`,
    fallen: `Fallen ${cue.count === 1 || !cue.count ? 'once' : `${cue.count} times`}`,
    round: `Round ${cue.count ?? 1} done`,
    'time-left': `${cue.seconds ?? 10} s left`,
  };
  const then = effects.map(({ kind, pieces: on, text }) =>
    [EFFECT_WORDS[kind].toLowerCase(), kind === 'message' ? `“${text ?? ''}”` : named(pieces, on)]
      .filter(Boolean)
      .join(' '),
  );
  return `${when[cue.kind]}: ${then.join(', ')}`;
}
