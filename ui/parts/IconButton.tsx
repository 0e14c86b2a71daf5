import { Badge } from '@rneui/themed';
import { memo } from 'react';
import { Pressable, useWindowDimensions, type StyleProp, type ViewStyle } from 'react-native';
import { RADIUS, TARGET, TYPE, useColours, WIDE } from '../theme';
import { Feather, type IconName } from './icons';
import { Text } from './Text';

interface IconButtonProps {
  readonly icon: IconName;
  /** What happens; read aloud, and shown under the icon with `labelled`. */
  readonly label: string;
  readonly onPress: () => void;
  /** For what goes on as long as it is held. */
  readonly onPressIn?: () => void;
  readonly onPressOut?: () => void;
  readonly labelled?: boolean;
  readonly disabled?: boolean;
  readonly on?: boolean;
  readonly danger?: boolean;
  /** How many there are of what it opens, and whether one of them is grave. */
  readonly badge?: number;
  readonly grave?: boolean;
  /** The key that does the same, told to whoever hovers. */
  readonly hint?: string;
  readonly style?: StyleProp<ViewStyle>;
  readonly testID?: string;
}

/** A button that is only an icon, with its name for those who cannot see it. */
export const IconButton = memo(function IconButton({
  icon,
  label,
  onPress,
  onPressIn,
  onPressOut,
  labelled,
  disabled,
  on,
  danger,
  badge,
  grave,
  hint,
  style,
  testID,
}: IconButtonProps) {
  const colours = useColours();
  const wide = useWindowDimensions().width >= WIDE;
  const name = badge ? `${label}, ${badge}` : label;
  const ink = danger ? colours.rust : on ? colours.moss : colours.ink;
  return (
    <Pressable
      accessibilityRole="button"
      // What is written on it names it; a name beside that could only differ.
      accessibilityLabel={labelled ? undefined : name}
      aria-disabled={disabled || undefined}
      aria-pressed={on === undefined ? undefined : on}
      disabled={disabled}
      onPress={onPress}
      onPressIn={onPressIn}
      onPressOut={onPressOut}
      testID={testID}
      {...({ title: hint ? `${label} (${hint})` : label } as object)}
      style={({ pressed }) => [
        {
          minWidth: TARGET,
          minHeight: TARGET,
          paddingHorizontal: labelled ? 4 : 0,
          alignItems: 'center',
          justifyContent: 'center',
          borderRadius: RADIUS.s,
          backgroundColor: pressed || on ? colours.mossSoft : 'transparent',
          opacity: disabled ? 0.35 : 1,
        },
        style,
      ]}
    >
      <Feather name={icon} size={22} color={ink} aria-hidden />
      {labelled && (
        <Text
          as="small"
          tint={danger ? 'rust' : 'ink'}
          style={{ fontSize: 12, lineHeight: 15, marginTop: 2 }}
        >
          {label}
        </Text>
      )}
      {labelled && wide && hint && (
        <Text as="small" tint="slate" aria-hidden style={{ fontSize: 11, lineHeight: 13 }}>
          {hint}
        </Text>
      )}
      {!!badge && <Count value={badge} grave={grave} />}
    </Pressable>
  );
});

/** How many there are, at the button's corner. */
function Count({ value, grave }: { value: number; grave: boolean | undefined }) {
  const colours = useColours();
  return (
    <Badge
      value={value}
      containerStyle={{ position: 'absolute', top: 2, right: 0 }}
      badgeStyle={{
        borderWidth: 0,
        backgroundColor: grave ? colours.rust : colours.slate,
      }}
      textStyle={[TYPE.smallStrong, { fontSize: 12, lineHeight: 18, color: '#FFFFFF' }]}
    />
  );
}
