import { useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { useShallow } from 'zustand/react/shallow';
import { Card, IconButton, Text } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { useKeptHere } from '../../state/keptHere';
import { SPACE, WIDE } from '../../theme';
import { usePutOff } from './ConflictSheet';
import { isInOrder, saveWords } from './saveWords';
import { FindingsSheet } from '../parts/FindingsSheet';
import { useFindings } from '../open/useFindings';

/** Back, name, saved state, undo, redo and findings. */
export function TopBar({ onBack }: { onBack: () => void }) {
  const { name, pieces, save, canUndo, canRedo, undo, redo } = useCourse(
    useShallow(({ course, save: saved, past, future, undo: back, redo: forth }) => ({
      name: course.name,
      pieces: course.pieces.length,
      save: saved,
      canUndo: past.length > 0,
      canRedo: future.length > 0,
      undo: back,
      redo: forth,
    })),
  );
  const wide = useWindowDimensions().width >= WIDE;
  const [open, setOpen] = useState(false);
  const fails = useKeptHere((kept) => kept.fails);
  const findings = useFindings(useDebouncedCourse());
  return (
    <Card
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        minHeight: 56,
        paddingHorizontal: SPACE.xs,
        margin: SPACE.s,
      }}
    >
      <IconButton icon="chevron-left" label="Back to my courses" onPress={onBack} />
      <View style={{ flex: 1, minWidth: 0 }}>
        <Text as="heading" numberOfLines={1} style={{ fontSize: 17, lineHeight: 21 }}>
          {name || 'Unnamed course'}
        </Text>
        <Text
          as="small"
          tint={isInOrder(save) ? 'slate' : 'rust'}
          numberOfLines={1}
          // Two versions wait for a word: asked again by a tap.
          onPress={
            save.kind === 'conflict' ? () => usePutOff.setState({ theirs: null }) : undefined
          }
          testID="save-state"
        >
          {saveWords(save, wide, fails)}
          {/* A phone has no room for both where it is not saved. */}
          {(wide || isInOrder(save)) && ` · ${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`}
        </Text>
      </View>
      <IconButton
        icon="corner-up-left"
        label="Undo"
        hint="Ctrl Z"
        disabled={!canUndo}
        onPress={undo}
      />
      <IconButton
        icon="corner-up-right"
        label="Redo"
        hint="Ctrl Y"
        disabled={!canRedo}
        onPress={redo}
      />
      <IconButton
        icon="check-square"
        label="Findings"
        badge={findings.length}
        grave={findings.some(({ weight }) => weight === 'error')}
        onPress={() => setOpen(true)}
      />
      <FindingsSheet open={open} findings={findings} onClose={() => setOpen(false)} />
    </Card>
  );
}
