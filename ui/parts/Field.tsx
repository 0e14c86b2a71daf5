import { Input } from '@rneui/themed';
import type { TextInputProps } from 'react-native';
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
export function Field({ label, error, name, multiline, ...rest }: FieldProps) {
  const colours = useColours();
  return (
    <Input
      {...rest}
      multiline={multiline}
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
        borderColor: error ? colours.rust : colours.line,
        borderRadius: RADIUS.s,
        backgroundColor: colours.card,
        paddingHorizontal: SPACE.m,
      }}
      inputStyle={[
        TYPE.text,
        {
          color: colours.ink,
          minHeight: multiline ? 88 : TARGET,
          paddingVertical: multiline ? SPACE.s : 0,
        },
      ]}
    />
  );
}
