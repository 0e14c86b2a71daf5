import type { Link, Piece } from '@/core/course';
import { pieceName } from '../../open/pieceWords';
import { CUE_ROWS } from './cueRows';
import { EFFECT_ROWS } from './effectRows';

const named = (pieces: readonly Piece[], ids: readonly string[] | undefined): string => {
  if (!ids || ids.length === 0) return '';
  const first = pieceName(pieces.find(({ id }) => id === ids[0]));
  return ids.length === 1 ? first : `${first} and ${ids.length - 1} more`;
};

/** A link in one line: what happens, and what follows. */
export function linkWords({ cue, effects }: Link, pieces: readonly Piece[]): string {
  const when = CUE_ROWS[cue.kind].when({ ...cue, names: named(pieces, cue.pieces) });
  const then = effects.map(({ kind, pieces: on, text = '' }) => {
    const { label, own } = EFFECT_ROWS[kind];
    return [label.toLowerCase(), own === 'words' ? `“${text}”` : named(pieces, on)]
      .filter(Boolean)
      .join(' ');
  });
  return `${when}: ${then.join(', ')}`;
}
