import { create } from 'zustand';
import type { PieceInHand } from '@/core/edit';
import { useCourse } from '../../state/courseStore';
import { placeWords } from './placeWords';
import { pieceName } from './pieceWords';

/** What was laid last with the piece in hand, as words for who does not see it. */
export const useSaid = create<{ readonly laid: string | null }>()(() => ({ laid: null }));

/** Says that a piece was laid, and where. */
export const sayLaid = (piece: PieceInHand): void =>
  useSaid.setState({ laid: `${pieceName({ ...piece, id: '' })} laid at ${placeWords(piece.at)}` });

// With another piece in hand, or none, it is no longer news.
useCourse.subscribe(({ inHand }, before) => {
  if (inHand?.family !== before.inHand?.family) useSaid.setState({ laid: null });
});
