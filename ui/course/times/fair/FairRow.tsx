import { Pressable, View } from 'react-native';
import { Text } from '../../../parts';
import { SPACE, TARGET, useColours } from '../../../theme';

interface FairRowProps {
  readonly title: string;
  /** Said in the colour of what is wrong. */
  readonly fault?: string;
  readonly lines: readonly string[];
  /** Seconds into the run. */
  readonly at: number;
  readonly onPress: () => void;
  readonly testID?: string;
}

/** Something at a moment of a run: what, the figures of it, and when; touched, it is watched. */
export function FairRow({ title, fault, lines, at, onPress, testID }: FairRowProps) {
  const colours = useColours();
  return (
    <Pressable
      role="button"
      onPress={onPress}
      testID={testID}
      style={{
        minHeight: TARGET,
        flexDirection: 'row',
        alignItems: 'center',
        gap: SPACE.s,
        paddingVertical: SPACE.xs,
        borderTopWidth: 1,
        borderColor: colours.line,
      }}
    >
      <View style={{ flex: 1 }}>
        <Text as="smallStrong">{title}</Text>
        {fault && (
          <Text as="small" tint="rust">
            {fault}
          </Text>
        )}
        {lines
          .filter((words) => words !== '')
          .map((words) => (
            <Text key={words} as="small" tint="slate">
              {words}
            </Text>
          ))}
      </View>
      <Text as="figures">{`${at.toFixed(1)} s`}</Text>
    </Pressable>
  );
}
