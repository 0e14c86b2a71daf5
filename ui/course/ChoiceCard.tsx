import { View } from 'react-native';
import { familyOf } from '@/core/pieces';
import { Card, IconButton, PiecePicture, shortNumber, Words } from '../parts';
import { useView } from '../scene';
import { useCourse } from '../state/courseStore';
import { SPACE } from '../theme';
import { buildCommands, TURN_STEP } from './commands';

/**
 * What is done most to the chosen piece. With `onTune` it also says what the piece is and leads to
 * its figures; where those stand beside it already, it is only the buttons.
 */
export function ChoiceCard({ onTune }: { onTune?: () => void }) {
  const { course, choice } = useCourse();
  const upright = useView((s) => s.mode) === 'side';
  const pieces = course.pieces.filter(({ id }) => choice.has(id));
  if (pieces.length === 0) return null;
  const [piece] = pieces;
  const family = familyOf(piece.family);
  return (
    <Card style={{ padding: SPACE.s, gap: SPACE.xs }}>
      {onTune && (
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s }}>
          <PiecePicture piece={piece} size={40} />
          <View style={{ flex: 1, minWidth: 0 }}>
            <Words as="strong" numberOfLines={1} testID="choice-name">
              {piece.name ?? family.label}
            </Words>
            <Words as="smallFigures" tint="slate" numberOfLines={1} testID="choice-place">
              {piece.at.map(shortNumber).join('  ')}
            </Words>
          </View>
          <IconButton icon="sliders" label="Tune" labelled onPress={onTune} />
          <IconButton icon="x" label="Let go" hint="Esc" onPress={buildCommands.done} />
        </View>
      )}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', justifyContent: 'space-between' }}>
        <IconButton
          icon="arrow-left"
          label="Move left"
          hint="←"
          onPress={() => buildCommands.move(-1, 0, 0)}
        />
        <IconButton
          icon="arrow-right"
          label="Move right"
          hint="→"
          onPress={() => buildCommands.move(1, 0, 0)}
        />
        <IconButton
          icon="chevrons-up"
          label="Raise"
          hint="Page up"
          onPress={() => buildCommands.move(0, 1, 0)}
        />
        <IconButton
          icon="chevrons-down"
          label="Lower"
          hint="Page down"
          onPress={() => buildCommands.move(0, -1, 0)}
        />
        {!upright && (
          <IconButton
            icon="arrow-up"
            label="Move away"
            hint="↑"
            onPress={() => buildCommands.move(0, 0, -1)}
          />
        )}
        {!upright && (
          <IconButton
            icon="arrow-down"
            label="Move nearer"
            hint="↓"
            onPress={() => buildCommands.move(0, 0, 1)}
          />
        )}
        <IconButton
          icon="rotate-cw"
          label="Turn"
          hint="T"
          onPress={() => buildCommands.turn(TURN_STEP)}
        />
        <IconButton icon="copy" label="Duplicate" hint="C" onPress={buildCommands.duplicate} />
        <IconButton
          icon="trash-2"
          label="Delete"
          hint="Del"
          danger
          onPress={buildCommands.remove}
        />
      </View>
    </Card>
  );
}
