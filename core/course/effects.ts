import type { Effect } from './links';

/** What holds of one kind of effect, whatever the link. */
interface EffectTraits {
  /** Whether it is done to pieces. */
  readonly onPieces?: true;
  /** What it is begun with. */
  readonly initial?: Partial<Effect>;
}

const TABLE = {
  show: { onPieces: true },
  hide: { onPieces: true },
  open: { onPieces: true },
  shut: { onPieces: true },
  break: { onPieces: true },
  start: { onPieces: true },
  stop: { onPieces: true },
  carry: { onPieces: true },
  push: { initial: { by: [0, 10, 0] } },
  gravity: { initial: { value: 0.5, seconds: 5 } },
  speed: { initial: { value: 1.5, seconds: 5 } },
  size: { initial: { value: 0.5, seconds: 5 } },
  still: { initial: { seconds: 1 } },
  tide: { initial: { value: 2, seconds: 10 } },
  message: { initial: { text: 'Well run' } },
  points: { initial: { value: 10 } },
  sound: { initial: { sound: 'bell' } },
  win: {},
  back: {},
} as const;

export type EffectKind = keyof typeof TABLE;
/** The kinds of effects, in the order in which they are offered. */
export const EFFECTS = Object.keys(TABLE) as [EffectKind, ...EffectKind[]];
// Read by a function: the type of effects comes from the list above, and could else not come from itself.
export const effectTraits = (kind: EffectKind): EffectTraits => TABLE[kind] as EffectTraits;
