import { Switch } from '@rneui/themed';
import { View } from 'react-native';
import { SPACE, TARGET, useColours } from '../theme';
import { Text } from './Text';

interface ToggleProps {
  readonly label: string;
  readonly value: boolean;
  readonly onChange: (value: boolean) => void;
}

/** Something that is on or off. */
export function Toggle({ label, value, onChange }: ToggleProps) {
  const colours = useColours();
  return (
    <View
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        justifyContent: 'space-between',
        minHeight: TARGET,
        gap: SPACE.m,
      }}
    >
      <Text>{label}</Text>
      <Switch
        value={value}
        onValueChange={onChange}
        color={colours.moss}
        accessibilityLabel={label}
      />
    </View>
  );
}
