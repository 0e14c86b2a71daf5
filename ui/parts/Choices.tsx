import { View } from 'react-native';
import { SPACE } from '../theme';
import { OneStop } from './OneStop';
import { Chip } from './Chip';
import { Text } from './Text';

interface ChoicesProps<T extends string> {
  readonly label?: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T) => void;
}

/** One of a few, side by side. */
export function Choices<T extends string>({ label, value, options, onChange }: ChoicesProps<T>) {
  return (
    <View style={{ gap: SPACE.xs }}>
      {label && <Text as="smallStrong">{label}</Text>}
      <OneStop as="radiogroup" style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
        {options.map((option) => (
          <Chip
            key={option.value}
            role="radio"
            label={option.label}
            on={option.value === value}
            onPress={() => onChange(option.value)}
          />
        ))}
      </OneStop>
    </View>
  );
}
