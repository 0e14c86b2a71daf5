import type { PropsWithChildren } from 'react';
import { Pressable } from 'react-native';
import { SPACE, TARGET, useColours } from '../theme';

interface RowProps {
  readonly onPress: () => void;
  readonly disabled?: boolean;
  readonly on?: boolean;
}

/** A line of a list that can be pressed. */
export function Row({ onPress, disabled, on, children }: PropsWithChildren<RowProps>) {
  const colours = useColours();
  return (
    <Pressable
      accessibilityRole="button"
      aria-disabled={disabled || undefined}
      aria-pressed={on}
      disabled={disabled}
      onPress={onPress}
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: SPACE.m,
        minHeight: TARGET + 8,
        borderTopWidth: 1,
        borderColor: colours.line,
        backgroundColor: on ? colours.mossSoft : undefined,
      }}
    >
      {children}
    </Pressable>
  );
}
