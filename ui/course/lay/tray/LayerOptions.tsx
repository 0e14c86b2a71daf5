import { addLayer, clearMarks, putInLayer } from '@/core/edit';
import { Text } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { LayerCard } from './LayerCard';
import { ToolButton } from './ToolButton';

/** Layers with their names and order: shown or hidden, locked or not, and what is put into them. */
export function LayerOptions() {
  const { course, choice, edit } = useEditing();
  const any = (mark: 'hidden' | 'locked') =>
    course.pieces.some((piece) => piece[mark]) || course.layers?.some((layer) => layer[mark]);
  const addOne = () =>
    edit((before) => {
      const { course: next, id } = addLayer(before, `Layer ${(before.layers?.length ?? 0) + 1}`);
      return choice.size > 0 ? putInLayer(next, choice, id) : next;
    });
  return (
    <>
      <ToolButton icon="plus" label="New layer" onPress={addOne} testID="layer-new" />
      <ToolButton
        icon="eye"
        label="Show all"
        disabled={!any('hidden')}
        onPress={() => edit((before) => clearMarks(before, 'hidden'))}
      />
      <ToolButton
        icon="unlock"
        label="Unlock all"
        disabled={!any('locked')}
        onPress={() => edit((before) => clearMarks(before, 'locked'))}
      />
      {!course.layers?.length && (
        <Text as="small" tint="slate" style={{ maxWidth: 140, alignSelf: 'center' }}>
          Layers hold pieces, to hide or lock them together.
        </Text>
      )}
      {course.layers?.map((layer) => (
        <LayerCard
          key={layer.id}
          layer={layer}
          count={course.pieces.filter((piece) => piece.layer === layer.id).length}
        />
      ))}
    </>
  );
}
