import { Card as ElementsCard } from '@rneui/themed';
import type { PropsWithChildren } from 'react';
import type { StyleProp, ViewStyle } from 'react-native';
import { RADIUS, useColours } from '../theme';

/** A sheet of card on the paper or the scene. */
export function Card({ children, style }: PropsWithChildren<{ style?: StyleProp<ViewStyle> }>) {
  const colours = useColours();
  return (
    <ElementsCard
      containerStyle={[
        {
          margin: 0,
          padding: 0,
          shadowOpacity: 0,
          backgroundColor: colours.card,
          borderRadius: RADIUS.m,
          borderWidth: 1,
          borderColor: colours.line,
        },
        style,
      ]}
      // What is in it is laid out by the card itself.
      wrapperStyle={{ display: 'contents' }}
    >
      {children}
    </ElementsCard>
  );
}
