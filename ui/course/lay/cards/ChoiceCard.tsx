import { chosenOf } from '@/core/edit';
import { View } from 'react-native';
import { pieceName } from '@/core/pieces';
import { Card, IconButton, PiecePicture, numberText, Text } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { SPACE } from '../../../theme';
import { buildCommands } from '../../open/chosenEdits';
import { ChoiceActions } from './ChoiceActions';

/** The chosen pieces while laying: what they are, a way to their figures, and what is done to them. */
export function ChoiceCard({ onTune }: { onTune: () => void }) {
  const { course, choice } = useEditing();
  const [piece] = chosenOf(course, choice);
  if (!piece) return null;
  const many = choice.size > 1;
  return (
    <Card style={{ padding: SPACE.s, gap: SPACE.xs }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s }}>
        <PiecePicture piece={piece} size={40} />
        <View style={{ flex: 1, minWidth: 0 }}>
          <Text as="strong" numberOfLines={1} testID="choice-name">
            {many ? `${choice.size} pieces` : pieceName(piece)}
          </Text>
          <Text as="smallFigures" tint="slate" numberOfLines={1} testID="choice-place">
            {piece.at.map((v) => numberText(Math.round(v * 100) / 100)).join('  ')}
          </Text>
        </View>
        <IconButton icon="sliders" label="Tune" labelled onPress={onTune} />
        <IconButton icon="x" label="Let go" hint="Esc" onPress={buildCommands.done} />
      </View>
      <ChoiceActions />
    </Card>
  );
}
