import { View } from 'react-native';
import { Card, IconButton, Text } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { nextFirst, useFirsts, type First } from '../../state/firsts';
import { SPACE } from '../../theme';

const HINTS: Readonly<Record<First, string>> = {
  lay: 'Take a piece from the tray, then tap where it goes.',
  run: 'Try it: the fourth stone runs what you have built.',
  share: 'Finish it yourself, then the last stone shares it.',
};

/** Pieces from which a course counts as built: more than what a new one begins with. */
const BUILT = 8;

/** What to do next, said quietly until it was done once or is waved away. */
export function FirstHint() {
  const done = useFirsts((s) => s.done);
  // Where much is laid already nobody has to be told how to lay.
  const isBuilt = useCourse((s) => s.course.pieces.length >= BUILT);
  const first = nextFirst(isBuilt ? [...done, 'lay'] : done);
  if (!first) return null;
  return (
    <Card
      style={{ flexShrink: 1, flexDirection: 'row', alignItems: 'center', paddingLeft: SPACE.m }}
    >
      <View pointerEvents="none" style={{ flexShrink: 1, paddingVertical: SPACE.xs }}>
        <Text as="small" testID="first-hint">
          {HINTS[first]}
        </Text>
      </View>
      <IconButton
        icon="x"
        label="No more of this"
        onPress={() => useFirsts.getState().note(first)}
      />
    </Card>
  );
}
