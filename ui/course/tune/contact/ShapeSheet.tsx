import { Modal } from 'react-native';
import { useCourse } from '../../../state/courseStore';
import { useTune } from '../../open/tuneStore';
import { ShapeEditor } from './ShapeEditor';

/** The editor of a collision shape, over the whole screen: as large as there is room for. */
export function ShapeSheet() {
  const shaping = useTune((s) => s.shaping);
  const piece = useCourse((s) =>
    shaping === null ? undefined : s.course.pieces.find(({ id }) => id === shaping),
  );
  const close = () => useTune.getState().set({ shaping: null });
  return (
    <Modal visible={piece !== undefined} animationType="none" onRequestClose={close} transparent>
      {piece && <ShapeEditor key={piece.id} piece={piece} onClose={close} />}
    </Modal>
  );
}
