import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { View } from 'react-native';
import { SPACE, TARGET, useColours } from '../theme';
import { IconButton } from './IconButton';
import { Feather } from './icons';
import { Text } from './Text';

interface SortableListProps {
  readonly label: string;
  /** What each row is called, in the order they stand. */
  readonly items: readonly string[];
  readonly onMove: (from: number, to: number) => void;
  /** Takes a row out; left out where all stay. */
  readonly onRemove?: (at: number) => void;
}

/** Rows that are put in order by dragging their handles: by finger, mouse, or the space bar and arrow keys. */
export function SortableList({ label, items, onMove, onRemove }: SortableListProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = items.map((_, i) => String(i + 1));
  const end = ({ active, over }: DragEndEvent) => {
    if (over && over.id !== active.id) onMove(Number(active.id) - 1, Number(over.id) - 1);
  };
  return (
    <View style={{ gap: SPACE.xs }}>
      <Text as="smallStrong">{label}</Text>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={end}
        accessibility={{ announcements: ANNOUNCEMENTS, screenReaderInstructions: HOW }}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          {items.map((words, i) => (
            <SortableRow
              key={ids[i]}
              id={ids[i]}
              words={words}
              onRemove={onRemove && (() => onRemove(i))}
            />
          ))}
        </SortableContext>
      </DndContext>
    </View>
  );
}

const HOW = {
  draggable:
    'Press the space bar to lift the row, the arrow keys to move it, space again to let go.',
};
/** What is read out while a row is moved without being seen. */
const ANNOUNCEMENTS: Announcements = {
  onDragStart: ({ active }) => `Row ${active.id} is lifted.`,
  onDragOver: ({ active, over }) => (over ? `Row ${active.id} is at place ${over.id}.` : undefined),
  onDragEnd: ({ active, over }) =>
    over ? `Row ${active.id} stands at place ${over.id}.` : `Row ${active.id} is back.`,
  onDragCancel: ({ active }) => `Row ${active.id} is back.`,
};

interface SortableRowProps {
  readonly id: string;
  readonly words: string;
  readonly onRemove?: () => void;
}

function SortableRow({ id, words, onRemove }: SortableRowProps) {
  const colours = useColours();
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id,
  });
  return (
    <div
      ref={setNodeRef}
      style={{
        transform: CSS.Translate.toString(transform),
        transition,
        position: 'relative',
        zIndex: isDragging ? 1 : undefined,
        display: 'flex',
        alignItems: 'center',
        gap: SPACE.s,
        background: colours.card,
        border: `1px solid ${isDragging ? colours.moss : colours.line}`,
        borderRadius: 10,
        marginBottom: SPACE.xs,
      }}
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        aria-label={`Move ${id}, ${words}`}
        data-testid={`sort-${id}`}
        style={{
          width: TARGET,
          height: TARGET,
          border: 0,
          background: 'none',
          cursor: 'grab',
          // A finger on it moves the row, not the page.
          touchAction: 'none',
        }}
      >
        <Feather name="menu" size={20} color={colours.slate} />
      </button>
      <Text style={{ flex: 1 }}>{`${id}. ${words}`}</Text>
      {onRemove && <IconButton icon="x" label={`Take ${words} out`} onPress={onRemove} />}
    </div>
  );
}
