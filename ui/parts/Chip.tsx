import { Pressable } from 'react-native';
import { SPACE, TARGET, useColours } from '../theme';
import { Text } from './Text';

interface ChipProps {
  readonly label: string;
  readonly on: boolean;
  readonly onPress: () => void;
  /** One of a set of answers, or one of a row of groups to look into. */
  readonly role: 'radio' | 'tab' | 'checkbox';
  /** With less room at its ends, for a row that has to stay one. */
  readonly tight?: boolean;
}

/** A rounded button that is one of several: outlined and filled when it is the one. */
export function Chip({ label, on, onPress, role, tight }: ChipProps) {
  const colours = useColours();
  const filled = on && role === 'tab';
  return (
    <Pressable
      accessibilityRole={role}
      {...(role === 'tab' ? { 'aria-selected': on } : { 'aria-checked': on })}
      accessibilityLabel={label}
      onPress={onPress}
      style={({ pressed }) => ({
        opacity: pressed ? 0.65 : 1,
        minHeight: TARGET,
        justifyContent: 'center',
        paddingHorizontal: tight ? SPACE.s + 2 : SPACE.m + 2,
        borderRadius: TARGET / 2,
        borderWidth: on ? 2 : 1,
        borderColor: filled ? colours.ink : on ? colours.moss : colours.line,
        backgroundColor: filled ? colours.ink : on ? colours.mossSoft : colours.card,
      })}
    >
      <Text as={on ? 'smallStrong' : 'small'} tint={filled ? 'card' : 'ink'}>
        {label}
      </Text>
    </Pressable>
  );
}
