import { SearchBar } from '@rneui/themed';
import { useState } from 'react';
import { View, type TextInputProps } from 'react-native';
import { RADIUS, SPACE, TARGET, TYPE, useColours } from '../theme';
import { focusRing, NO_OUTLINE } from './focus';
import { IconButton } from './IconButton';
import { Feather } from './icons';

interface SearchFieldProps {
  /** What is looked for, for those who cannot see it. */
  readonly name: string;
  readonly placeholder: string;
  readonly value: string;
  readonly onChangeText: (text: string) => void;
  readonly onSubmitEditing?: TextInputProps['onSubmitEditing'];
  readonly autoFocus?: boolean;
  readonly testID?: string;
}

/** Words to look for, and a way to clear them. */
export function SearchField({ name, value, onChangeText, ...rest }: SearchFieldProps) {
  const colours = useColours();
  const [focused, setFocused] = useState(false);
  return (
    <SearchBar
      {...rest}
      value={value}
      onChangeText={onChangeText}
      onFocus={() => setFocused(true)}
      onBlur={() => setFocused(false)}
      accessibilityLabel={name}
      placeholderTextColor={colours.slate}
      searchIcon={<Feather name="search" size={18} color={colours.slate} aria-hidden />}
      clearIcon={
        value ? (
          <IconButton icon="x" label="Clear what was typed" onPress={() => onChangeText('')} />
        ) : (
          <View />
        )
      }
      containerStyle={{
        padding: 0,
        borderTopWidth: 0,
        borderBottomWidth: 0,
        backgroundColor: 'transparent',
      }}
      leftIconContainerStyle={{ marginLeft: 0, height: TARGET }}
      rightIconContainerStyle={{ marginRight: -SPACE.s, height: TARGET }}
      inputContainerStyle={{
        overflow: 'visible',
        borderWidth: 1,
        borderBottomWidth: 1,
        borderColor: focused ? colours.moss : colours.line,
        borderRadius: RADIUS.s,
        backgroundColor: colours.card,
        paddingHorizontal: SPACE.m,
        height: TARGET + 4,
        ...focusRing(focused, colours.moss),
      }}
      inputStyle={[
        TYPE.text,
        { color: colours.ink, ...NO_OUTLINE, minHeight: TARGET, marginLeft: SPACE.s },
      ]}
    />
  );
}
