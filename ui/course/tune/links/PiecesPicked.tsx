import { Button, Chip, showToast } from '../../../parts';
import { usePanelSnapshot } from '../../../state/panelSnapshot';
import { Flow } from '../../parts/Section';
import { pieceName } from '../../open/pieceWords';

/** A list of pieces with one put in, or taken out where it is in it; none where none is left. */
export const toggled = (ids: readonly string[] | undefined, id: string): string[] | undefined => {
  const next = ids?.includes(id) ? ids.filter((one) => one !== id) : [...(ids ?? []), id];
  return next.length > 0 ? next : undefined;
};

/** The pieces of a cue or effect, and a way to touch others. */
export function PiecesPicked({
  ids,
  onPick,
  onDrop,
}: {
  ids: readonly string[] | undefined;
  onPick: () => void;
  onDrop: (id: string) => void;
}) {
  const pieces = usePanelSnapshot((s) => s.course.pieces);
  return (
    <Flow>
      {(ids ?? []).map((id) => (
        <Chip
          key={id}
          role="checkbox"
          label={pieceName(pieces.find((piece) => piece.id === id))}
          on
          onPress={() => {
            onDrop(id);
            showToast('Let go of it.');
          }}
        />
      ))}
      <Button
        title={ids?.length ? 'Touch more' : 'Touch a piece'}
        icon="crosshair"
        onPress={onPick}
        testID="pick-piece"
      />
    </Flow>
  );
}
