import Feather from '@expo/vector-icons/Feather';
import { Pressable } from 'react-native';
import { Text } from '../../parts';
import { RADIUS, SPACE, TARGET, useColours } from '../../theme';
import { useSceneMode } from '../open/sceneMode';

/** What the next touch of the scene does while a mode lasts; a touch of the line ends it. */
export function ModeLine() {
  const colours = useColours();
  const mode = useSceneMode();
  if (!mode) return null;
  return (
    <Pressable
      onPress={mode.end}
      accessibilityRole="button"
      accessibilityLabel={`${mode.words}. End this.`}
      aria-live="polite"
      testID="mode-line"
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        alignSelf: 'center',
        maxWidth: '100%',
        gap: SPACE.s,
        minHeight: TARGET,
        paddingHorizontal: SPACE.m,
        borderRadius: RADIUS.m,
        borderWidth: 2,
        borderColor: colours.moss,
        backgroundColor: colours.card,
      }}
    >
      <Text as="smallStrong" style={{ flexShrink: 1 }}>
        {mode.words}
      </Text>
      <Feather name="x" size={18} color={colours.ink} />
    </Pressable>
  );
}
