export const SOUNDS = ['bell', 'horn', 'knock', 'chime'] as const;
export type SoundName = (typeof SOUNDS)[number];

/** What an effect may say beside its kind and its pieces; units as in the schema of links. */
interface Figures {
  readonly value?: number;
  readonly seconds?: number;
  readonly by?: readonly [number, number, number];
  readonly text?: string;
  readonly sound?: SoundName;
}

/** What holds of one kind of effect, whatever the link. */
interface EffectTraits {
  /** Whether it is done to pieces. */
  readonly onPieces?: true;
  /** What a piece must have for it. */
  readonly needs?: 'lock' | 'motion';
  /** It opens what is shut. */
  readonly opens?: true;
  /** It changes what was gathered is worth. */
  readonly givesWorth?: true;
  /** What it is begun with. */
  readonly initial?: Figures;
}

const TABLE = {
  show: { onPieces: true },
  hide: { onPieces: true },
  open: { onPieces: true, opens: true, needs: 'lock' },
  shut: { onPieces: true, needs: 'lock' },
  break: { onPieces: true },
  start: { onPieces: true, needs: 'motion' },
  stop: { onPieces: true, needs: 'motion' },
  carry: { onPieces: true },
  push: { initial: { by: [0, 10, 0] } },
  gravity: { initial: { value: 0.5, seconds: 5 } },
  speed: { initial: { value: 1.5, seconds: 5 } },
  size: { initial: { value: 0.5, seconds: 5 } },
  still: { initial: { seconds: 1 } },
  tide: { initial: { value: 2, seconds: 10 } },
  message: { initial: { text: 'Well run' } },
  points: { givesWorth: true, initial: { value: 10 } },
  sound: { initial: { sound: 'bell' } },
  win: {},
  back: {},
} as const satisfies Record<string, EffectTraits>;

export type EffectKind = keyof typeof TABLE;
/** The kinds of effects, in the order in which they are offered. */
export const EFFECTS = Object.keys(TABLE) as [EffectKind, ...EffectKind[]];
export const EFFECT_TRAITS: Readonly<Record<EffectKind, EffectTraits>> = TABLE;
