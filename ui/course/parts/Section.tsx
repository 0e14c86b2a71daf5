import type { PropsWithChildren } from 'react';
import { View } from 'react-native';
import { Text } from '../../parts';
import { SPACE, useColours } from '../../theme';

/** A part of a panel under a heading of its own. */
export function Section({ title, children }: PropsWithChildren<{ title: string }>) {
  const colours = useColours();
  return (
    <View
      style={{
        gap: SPACE.s,
        paddingTop: SPACE.m,
        borderTopWidth: 1,
        borderColor: colours.line,
      }}
    >
      <Text as="strong">{title}</Text>
      {children}
    </View>
  );
}

/** Buttons and chips that take a new line where there is no more room. */
export const Flow = ({ children }: PropsWithChildren) => (
  <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>{children}</View>
);
