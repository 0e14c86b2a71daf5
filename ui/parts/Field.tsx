import { Input } from '@rneui/themed';
import { useState } from 'react';
import type { TextInputProps } from 'react-native';
import { focusRing, NO_OUTLINE } from './focus';
import { RADIUS, SPACE, TARGET, TYPE, useColours } from '../theme';

interface FieldProps extends Pick<
  TextInputProps,
  | 'value'
  | 'onChangeText'
  | 'onBlur'
  | 'onSubmitEditing'
  | 'placeholder'
  | 'multiline'
  | 'secureTextEntry'
  | 'maxLength'
  | 'autoFocus'
  | 'testID'
> {
  readonly label?: string;
  readonly error?: string;
  /** For fields without a label that is seen. */
  readonly name?: string;
}

/** A text field with its label above and what is wrong below. */
export function Field({ label, error, name, multiline, onBlur, ...rest }: FieldProps) {
  const colours = useColours();
  const [focused, setFocused] = useState(false);
  return (
    <Input
      {...rest}
      multiline={multiline}
      onFocus={() => setFocused(true)}
      onBlur={(event) => {
        setFocused(false);
        onBlur?.(event);
      }}
      accessibilityLabel={label ?? name}
      label={label}
      errorMessage={error}
      renderErrorMessage={!!error}
      placeholderTextColor={colours.slate}
      labelStyle={[
        TYPE.smallStrong,
        { color: colours.ink, marginBottom: SPACE.xs, fontWeight: 'normal' },
      ]}
      errorStyle={[TYPE.small, { color: colours.rust, marginHorizontal: 0 }]}
      containerStyle={{ paddingHorizontal: 0 }}
      inputContainerStyle={{
        borderWidth: 1,
        borderBottomWidth: 1,
        borderColor: error ? colours.rust : focused ? colours.moss : colours.line,
        borderRadius: RADIUS.s,
        backgroundColor: colours.card,
        paddingHorizontal: SPACE.m,
        ...focusRing(focused, colours.moss),
      }}
      inputStyle={[
        TYPE.text,
        {
          color: colours.ink,
          ...NO_OUTLINE,
          minHeight: multiline ? 88 : TARGET,
          paddingVertical: multiline ? SPACE.s : 0,
        },
      ]}
    />
  );
}
