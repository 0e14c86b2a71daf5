import { Text as ThemedText } from '@rneui/themed';
import type { PropsWithChildren } from 'react';
import type { TextProps } from 'react-native';
import { TYPE, useColours, type Colours, type TypeStyle } from '../theme';

interface WordsProps extends TextProps {
  readonly as?: TypeStyle;
  readonly tint?: keyof Colours;
  readonly centred?: boolean;
}

/** Text in one of the application's styles. */
export function Text({
  as = 'text',
  tint = 'ink',
  centred,
  style,
  ...rest
}: PropsWithChildren<WordsProps>) {
  const colours = useColours();
  const heading = as === 'title' || as === 'heading';
  return (
    <ThemedText
      accessibilityRole={heading ? 'header' : undefined}
      {...rest}
      style={[TYPE[as], { color: colours[tint] }, centred && { textAlign: 'center' }, style]}
    />
  );
}
