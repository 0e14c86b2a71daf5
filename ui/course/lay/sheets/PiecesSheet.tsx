import type { Piece } from '@/core/course';
import { Chip, Sheet, Text } from '../../../parts';
import { useCourse } from '../../../state/courseStore';
import { useEditing } from '../../../state/panelSnapshot';
import { useLayOf } from '../../open/laying';
import { PieceList } from '../../parts/PieceList';
import { placeWords } from '../../open/placeWords';
import { roleWords } from '../../open/pieceWords';

/** Every piece of the course, so that it can be worked without seeing the scene. */
export function PiecesSheet({ onClose }: { onClose: () => void }) {
  const { course, choice } = useEditing();
  const { adding, toggleChoosing } = useLayOf('adding', 'toggleChoosing');
  return (
    <Sheet title="All pieces" open onClose={onClose}>
      <Text tint="slate" aria-live="polite">
        {choice.size === 0
          ? 'Choose pieces here, then move, turn or delete them by their keys.'
          : `${choice.size} of ${course.pieces.length} chosen.`}
      </Text>
      <Chip
        role="checkbox"
        label="Add to what is chosen"
        on={adding}
        onPress={() => toggleChoosing('adding')}
      />
      {choice.size > 0 && (
        <Chip
          role="checkbox"
          label="Nothing chosen"
          on={false}
          onPress={() => useCourse.getState().choose([])}
        />
      )}
      <PieceList pieces={course.pieces} tell={whereAndWhat} />
    </Sheet>
  );
}

const whereAndWhat = (piece: Piece): string => `${placeWords(piece.at)} · ${roleWords(piece)}`;
