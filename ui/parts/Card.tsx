import type { PropsWithChildren } from 'react';
import { View, type StyleProp, type ViewStyle } from 'react-native';
import { RADIUS, useColours } from '../theme';

/** A sheet of card on the paper or the scene. */
export function Card({ children, style }: PropsWithChildren<{ style?: StyleProp<ViewStyle> }>) {
  const colours = useColours();
  return (
    <View
      style={[
        {
          backgroundColor: colours.card,
          borderRadius: RADIUS.m,
          borderWidth: 1,
          borderColor: colours.line,
        },
        style,
      ]}
    >
      {children}
    </View>
  );
}
