import { Pressable, View } from 'react-native';
import { Text } from '../../../parts';
import { RADIUS, TARGET, useColours } from '../../../theme';

/** A colour to pick, by its name. */
export function Swatch({
  label,
  fill,
  on,
  onPress,
}: {
  label: string;
  fill: string;
  on: boolean;
  onPress: () => void;
}) {
  const colours = useColours();
  return (
    <Pressable
      accessibilityRole="radio"
      aria-checked={on}
      accessibilityLabel={label}
      onPress={onPress}
      style={{ width: 62, alignItems: 'center', gap: 2 }}
    >
      <View
        style={{
          width: TARGET,
          height: TARGET,
          borderRadius: RADIUS.s,
          backgroundColor: fill,
          borderWidth: on ? 3 : 1,
          borderColor: on ? colours.moss : colours.line,
        }}
      />
      <Text as={on ? 'smallStrong' : 'small'}>{label}</Text>
    </Pressable>
  );
}
