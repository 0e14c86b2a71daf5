import { View } from 'react-native';
import { familyOf } from '@/core/pieces';
import { Button, Card, IconButton, shortNumber, Words } from '../parts';
import { useCourse } from '../state/courseStore';
import { SPACE } from '../theme';
import { buildCommands, TURN_STEP } from './commands';
import { useGhost } from './useGhost';

/** The piece in hand: what it is, turning and sizing it, and a large way to stop. */
export function HandCard() {
  const inHand = useCourse((s) => s.inHand);
  if (!inHand) return null;
  const family = familyOf(inHand.family);
  return (
    <Card
      style={{ flexDirection: 'row', alignItems: 'center', padding: SPACE.s, paddingLeft: SPACE.m }}
    >
      <View style={{ flex: 1, minWidth: 0 }}>
        <Words as="strong" numberOfLines={1}>
          {family.label} in hand
        </Words>
        <Landing />
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

/** Its size, or why it may not be laid where its ghost stands. */
function Landing() {
  const { course, inHand } = useCourse();
  const ghost = useGhost(course, inHand);
  if (!inHand) return null;
  if (ghost?.refused) {
    return (
      <Words as="small" tint="rust" numberOfLines={1}>
        {ghost.refused}
      </Words>
    );
  }
  const { sizable, size } = familyOf(inHand.family);
  return (
    <Words as="smallFigures" tint="slate" numberOfLines={1}>
      {sizable ? (inHand.size ?? size).map(shortNumber).join(' × ') : 'Tap to lay'}
    </Words>
  );
}
