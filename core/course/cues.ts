import type { EffectKind } from './effects';

/** What holds of one kind of cue, whatever the link. */
interface CueTraits {
  /** What it is noticed by: what happens to its pieces, anything gathered, or the clock and the counts. */
  readonly noticed: 'pieces' | 'gathered' | 'clock';
  /** Whether it names pieces; whether it may wait for all of several. */
  readonly ofPieces?: true;
  /** What a piece must have to give it: anything that touches, or a shape in a role. */
  readonly needs?: 'touch' | 'pickup' | 'checkpoint';
  /** Names no piece where any of its kind will do. */
  readonly anyPiece?: true;
  /** It must be known of each of its pieces who stands in it. */
  readonly watched?: true;
  /** The effect that brings it about within the same tick. */
  readonly givenBy?: EffectKind;
  /** It comes round by itself, every so many seconds or beats. */
  readonly every?: 'seconds' | 'beats';
  readonly ofAll?: true;
  /** The count and the seconds it is begun with, where it has any. */
  readonly count?: number;
  readonly seconds?: number;
}

const TABLE = {
  touched: { noticed: 'pieces', ofPieces: true, needs: 'touch', ofAll: true },
  left: { noticed: 'pieces', ofPieces: true, needs: 'touch', watched: true },
  stood: { noticed: 'pieces', ofPieces: true, needs: 'touch', watched: true, seconds: 1 },
  gathered: { noticed: 'gathered', count: 5 },
  broken: { noticed: 'pieces', ofPieces: true, ofAll: true, givenBy: 'break' },
  'all-gathered': { noticed: 'gathered', ofPieces: true, needs: 'pickup' },
  start: { noticed: 'clock' },
  checkpoint: {
    noticed: 'pieces',
    ofPieces: true,
    needs: 'checkpoint',
    ofAll: true,
    anyPiece: true,
  },
  beat: { noticed: 'clock', count: 4, every: 'beats' },
  timer: { noticed: 'clock', seconds: 5, every: 'seconds' },
  worth: { noticed: 'clock', count: 20 },
  fallen: { noticed: 'clock', count: 3 },
  round: { noticed: 'clock', count: 1 },
  'time-left': { noticed: 'clock', seconds: 10 },
} as const satisfies Record<string, CueTraits>;

export type CueKind = keyof typeof TABLE;
/** The kinds of cues, in the order in which they are offered. */
export const CUES = Object.keys(TABLE) as [CueKind, ...CueKind[]];
export const CUE_TRAITS: Readonly<Record<CueKind, CueTraits>> = TABLE;

/**
 * Seconds from one time at which a cue comes round to the next; Infinity where it does not come round by itself.
 * @param beat seconds of one beat
 */
export function cueInterval(
  { kind, count = 1, seconds = 1 }: { kind: CueKind; count?: number; seconds?: number },
  beat: number,
): number {
  const { every } = CUE_TRAITS[kind];
  if (!every) return Infinity;
  return every === 'beats' ? count * beat : seconds;
}
