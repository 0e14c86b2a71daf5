import { ListItem as ElementsListItem } from '@rneui/themed';
import type { PropsWithChildren } from 'react';
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
    <ElementsListItem
      // It has no role by itself.
      accessibilityRole="button"
      {...({ 'aria-disabled': disabled || undefined, 'aria-pressed': on } as object)}
      disabled={disabled}
      onPress={onPress}
      testID={testID}
      pad={0}
      style={({ pressed }: { pressed: boolean }) => ({ opacity: pressed ? 0.6 : 1 })}
      containerStyle={{
        padding: 0,
        gap: SPACE.m,
        minHeight: TARGET + 8,
        borderTopWidth: 1,
        borderColor: colours.line,
        backgroundColor: on ? colours.mossSoft : 'transparent',
      }}
    >
      <>{children}</>
    </ElementsListItem>
  );
}
