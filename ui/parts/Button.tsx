import { Button as ElementsButton } from '@rneui/themed';
import type { StyleProp, ViewStyle } from 'react-native';
import { RADIUS, SPACE, TARGET, TYPE, useColours } from '../theme';
import { Feather, type IconName } from './icons';

interface ButtonProps {
  /** Says what will happen. */
  readonly title: string;
  /** Said of it beside the title, where that alone does not tell which one. */
  readonly label?: string;
  readonly onPress: () => void;
  readonly kind?: 'main' | 'plain' | 'danger';
  readonly icon?: IconName;
  readonly disabled?: boolean;
  readonly busy?: boolean;
  readonly style?: StyleProp<ViewStyle>;
  readonly testID?: string;
}

/** The application's button. */
export function Button({
  title,
  label = title,
  onPress,
  kind = 'plain',
  icon,
  disabled,
  busy,
  style,
  testID,
}: ButtonProps) {
  const colours = useColours();
  const ink = kind === 'main' ? colours.onMoss : kind === 'danger' ? colours.rust : colours.ink;
  return (
    <ElementsButton
      title={title}
      onPress={onPress}
      disabled={disabled}
      loading={busy}
      testID={testID}
      accessibilityLabel={label}
      icon={
        icon && (
          <Feather aria-hidden name={icon} size={18} color={ink} style={{ marginRight: SPACE.s }} />
        )
      }
      loadingProps={{ color: ink, accessibilityLabel: title }}
      containerStyle={[{ borderRadius: RADIUS.m }, style]}
      buttonStyle={{
        minHeight: TARGET + 4,
        paddingHorizontal: SPACE.l,
        borderRadius: RADIUS.m,
        borderWidth: kind === 'main' ? 0 : 1,
        borderColor: colours.line,
        backgroundColor: kind === 'main' ? colours.moss : colours.card,
      }}
      disabledStyle={{
        backgroundColor: kind === 'main' ? colours.moss : colours.card,
        opacity: 0.5,
      }}
      disabledTitleStyle={{ color: ink }}
      titleStyle={[TYPE.strong, { color: ink, lineHeight: 20 }]}
    />
  );
}
