import { Pressable } from 'react-native';
import { SPACE, TARGET, useColours } from '../theme';
import { Words } from './Words';

interface ChipProps {
  readonly label: string;
  readonly on: boolean;
  readonly onPress: () => void;
  /** One of a set of answers, or one of a row of groups to look into. */
  readonly role: 'radio' | 'tab' | 'checkbox';
}

/** A rounded button that is one of several: outlined and filled when it is the one. */
export function Chip({ label, on, onPress, role }: ChipProps) {
  const colours = useColours();
  const filled = on && role === 'tab';
  return (
    <Pressable
      accessibilityRole={role}
      accessibilityState={role === 'tab' ? { selected: on } : { checked: on }}
      accessibilityLabel={label}
      onPress={onPress}
      style={{
        minHeight: TARGET,
        justifyContent: 'center',
        paddingHorizontal: SPACE.m + 2,
        borderRadius: TARGET / 2,
        borderWidth: on ? 2 : 1,
        borderColor: filled ? colours.ink : on ? colours.moss : colours.line,
        backgroundColor: filled ? colours.ink : on ? colours.mossSoft : colours.card,
      }}
    >
      <Words as={on ? 'smallStrong' : 'small'} tint={filled ? 'card' : 'ink'}>
        {label}
      </Words>
    </Pressable>
  );
}
