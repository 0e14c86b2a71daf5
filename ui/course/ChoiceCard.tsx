import { View } from 'react-native';
import { familyOf } from '@/core/pieces';
import { Card, IconButton, PiecePicture, shortNumber, Words } from '../parts';
import { useView } from '../scene';
import { useCourse } from '../state/courseStore';
import { SPACE } from '../theme';
import { buildCommands, TURN_STEP } from './commands';

/** The chosen piece while laying: what it is, a way to its figures, and what is done to it most. */
export function ChoiceCard({ onTune }: { onTune: () => void }) {
  const { course, choice } = useCourse();
  const piece = course.pieces.find(({ id }) => choice.has(id));
  if (!piece) return null;
  return (
    <Card style={{ padding: SPACE.s, gap: SPACE.xs }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s }}>
        <PiecePicture piece={piece} size={40} />
        <View style={{ flex: 1, minWidth: 0 }}>
          <Words as="strong" numberOfLines={1} testID="choice-name">
            {piece.name ?? familyOf(piece.family).label}
          </Words>
          <Words as="smallFigures" tint="slate" numberOfLines={1} testID="choice-place">
            {piece.at.map(shortNumber).join('  ')}
          </Words>
        </View>
        <IconButton icon="sliders" label="Tune" labelled onPress={onTune} />
        <IconButton icon="x" label="Let go" hint="Esc" onPress={buildCommands.done} />
      </View>
      <ChoiceActions />
    </Card>
  );
}

/** Buttons for what is done most to the chosen pieces. */
export function ChoiceActions() {
  const upright = useView((s) => s.mode) === 'side';
  const { move, turn, duplicate, remove } = buildCommands;
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', justifyContent: 'space-between' }}>
      <IconButton icon="arrow-left" label="Move left" hint="←" onPress={() => move(-1, 0, 0)} />
      <IconButton icon="arrow-right" label="Move right" hint="→" onPress={() => move(1, 0, 0)} />
      <IconButton icon="chevrons-up" label="Raise" hint="Page up" onPress={() => move(0, 1, 0)} />
      <IconButton
        icon="chevrons-down"
        label="Lower"
        hint="Page down"
        onPress={() => move(0, -1, 0)}
      />
      {!upright && (
        <>
          <IconButton icon="arrow-up" label="Move away" hint="↑" onPress={() => move(0, 0, -1)} />
          <IconButton
            icon="arrow-down"
            label="Move nearer"
            hint="↓"
            onPress={() => move(0, 0, 1)}
          />
        </>
      )}
      <IconButton icon="rotate-cw" label="Turn" hint="T" onPress={() => turn(TURN_STEP)} />
      <IconButton icon="copy" label="Duplicate" hint="C" onPress={duplicate} />
      <IconButton icon="trash-2" label="Delete" hint="Del" danger onPress={remove} />
    </View>
  );
}
