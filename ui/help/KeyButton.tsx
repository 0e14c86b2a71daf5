import { Pressable } from 'react-native';
import { Text } from '../parts';
import { RADIUS, SPACE, TARGET, useColours } from '../theme';

interface KeyButtonProps {
  /** The keys as they are shown, or that others are waited for. */
  readonly words: string;
  /** What they do. */
  readonly does: string;
  readonly waiting: boolean;
  /** Whether there are none. */
  readonly none?: boolean;
  readonly onPress: () => void;
  readonly testID: string;
}

/** The keys of something; pressed, they wait to be changed. */
export function KeyButton({ words, does, waiting, none, onPress, testID }: KeyButtonProps) {
  const colours = useColours();
  return (
    <Pressable
      accessibilityRole="button"
      aria-description={`Change the keys of ${does}`}
      testID={testID}
      onPress={onPress}
      style={{
        width: 128,
        minHeight: TARGET,
        justifyContent: 'center',
        paddingHorizontal: SPACE.s,
        borderRadius: RADIUS.s,
        borderWidth: 1,
        borderColor: waiting ? colours.moss : colours.line,
        backgroundColor: waiting ? colours.mossSoft : colours.card,
      }}
    >
      <Text as="smallStrong" tint={none && !waiting ? 'slate' : 'ink'}>
        {words}
      </Text>
    </Pressable>
  );
}
