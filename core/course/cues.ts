/** What holds of one kind of cue, whatever the link. */
interface CueTraits {
  /** What it is noticed by: what happens to its pieces, anything gathered, or the clock and the counts. */
  readonly noticed: 'pieces' | 'gathered' | 'clock';
  /** Whether it names pieces; whether it may wait for all of several. */
  readonly ofPieces?: true;
  readonly ofAll?: true;
  /** The count and the seconds it is begun with, where it has any. */
  readonly count?: number;
  readonly seconds?: number;
}

const TABLE = {
  touched: { noticed: 'pieces', ofPieces: true, ofAll: true },
  left: { noticed: 'pieces', ofPieces: true },
  stood: { noticed: 'pieces', ofPieces: true, seconds: 1 },
  gathered: { noticed: 'gathered', count: 5 },
  broken: { noticed: 'pieces', ofPieces: true, ofAll: true },
  'all-gathered': { noticed: 'gathered', ofPieces: true },
  start: { noticed: 'clock' },
  checkpoint: { noticed: 'pieces', ofPieces: true, ofAll: true },
  beat: { noticed: 'clock', count: 4 },
  timer: { noticed: 'clock', seconds: 5 },
  worth: { noticed: 'clock', count: 20 },
  fallen: { noticed: 'clock', count: 3 },
  round: { noticed: 'clock', count: 1 },
  'time-left': { noticed: 'clock', seconds: 10 },
} as const satisfies Record<string, CueTraits>;

export type CueKind = keyof typeof TABLE;
/** The kinds of cues, in the order in which they are offered. */
export const CUES = Object.keys(TABLE) as [CueKind, ...CueKind[]];
export const CUE_TRAITS: Readonly<Record<CueKind, CueTraits>> = TABLE;
