import { View } from 'react-native';
import { familyOf } from '@/core/pieces';
import { Button, Card, IconButton, shortNumber, Words } from '../parts';
import { useCourse } from '../state/courseStore';
import { SPACE } from '../theme';
import { buildCommands, TURN_STEP } from './commands';
import { useGhost } from './useGhost';

/** The piece in hand: what it is, turning and sizing it, and a large way to stop. */
export function HandCard() {
  const { course, inHand } = useCourse();
  const ghost = useGhost(course, inHand);
  if (!inHand) return null;
  const family = familyOf(inHand.family);
  const size = inHand.size ?? family.size;
  return (
    <Card
      style={{ flexDirection: 'row', alignItems: 'center', padding: SPACE.s, paddingLeft: SPACE.m }}
    >
      <View style={{ flex: 1, minWidth: 0 }}>
        <Words as="strong" numberOfLines={1}>
          {family.label} in hand
        </Words>
        {ghost?.refused ? (
          <Words as="small" tint="rust" numberOfLines={1}>
            {ghost.refused}
          </Words>
        ) : (
          <Words as="smallFigures" tint="slate" numberOfLines={1}>
            {family.sizable ? size.map(shortNumber).join(' × ') : 'Tap to lay'}
          </Words>
        )}
      </View>
      <IconButton
        icon="rotate-cw"
        label="Turn"
        hint="T"
        onPress={() => buildCommands.turn(TURN_STEP)}
      />
      {family.sizable && (
        <>
          <IconButton
            icon="minimize-2"
            label="Narrower"
            onPress={() => buildCommands.sizeInHand(0, -1)}
          />
          <IconButton
            icon="maximize-2"
            label="Wider"
            onPress={() => buildCommands.sizeInHand(0, 1)}
          />
        </>
      )}
      <Button
        kind="main"
        title="Done"
        onPress={buildCommands.done}
        style={{ marginLeft: SPACE.xs }}
        testID="hand-done"
      />
    </Card>
  );
}
