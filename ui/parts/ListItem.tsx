import type { PropsWithChildren } from 'react';
import { Pressable } from 'react-native';
import { SPACE, TARGET, useColours } from '../theme';

interface RowProps {
  readonly onPress: () => void;
  readonly disabled?: boolean;
  readonly on?: boolean;
  readonly testID?: string;
}

/** A line of a list that can be pressed. */
export function ListItem({ onPress, disabled, on, testID, children }: PropsWithChildren<RowProps>) {
  const colours = useColours();
  return (
    <Pressable
      accessibilityRole="button"
      aria-disabled={disabled || undefined}
      aria-pressed={on}
      disabled={disabled}
      onPress={onPress}
      testID={testID}
      style={({ pressed }) => ({
        opacity: pressed ? 0.6 : 1,
        flexDirection: 'row',
        alignItems: 'center',
        gap: SPACE.m,
        minHeight: TARGET + 8,
        borderTopWidth: 1,
        borderColor: colours.line,
        backgroundColor: on ? colours.mossSoft : undefined,
      })}
    >
      {children}
    </Pressable>
  );
}
