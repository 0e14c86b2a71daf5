import { Chip as ElementsChip } from '@rneui/themed';
import { FIRST_STOP } from '../device/oneStop';
import { SPACE, TARGET, TYPE, useColours } from '../theme';

interface ChipProps {
  readonly label: string;
  readonly on: boolean;
  readonly onPress: () => void;
  /** One of a set of answers, or one of a row of groups to look into. */
  readonly role: 'radio' | 'tab' | 'checkbox';
  /** With less room at its ends, for a row that has to stay one. */
  readonly tight?: boolean;
}

/** A rounded button that is one of several: outlined and filled when it is the one. */
export function Chip({ label, on, onPress, role, tight }: ChipProps) {
  const colours = useColours();
  const filled = on && role === 'tab';
  return (
    <ElementsChip
      title={label}
      onPress={onPress}
      // By itself it is a button, and says what is chosen in a way the web does not hear.
      accessibilityRole={role}
      {...(on && role !== 'checkbox' ? FIRST_STOP : {})}
      accessibilityLabel={label}
      {...(role === 'tab' ? { 'aria-selected': on } : { 'aria-checked': on })}
      buttonStyle={{
        minHeight: TARGET,
        paddingVertical: 0,
        paddingHorizontal: tight ? SPACE.s + 2 : SPACE.m + 2,
        borderRadius: TARGET / 2,
        borderWidth: on ? 2 : 1,
        borderColor: filled ? colours.ink : on ? colours.moss : colours.line,
        backgroundColor: filled ? colours.ink : on ? colours.mossSoft : colours.card,
      }}
      titleStyle={[
        on ? TYPE.smallStrong : TYPE.small,
        { paddingHorizontal: 0, color: filled ? colours.card : colours.ink },
      ]}
    />
  );
}
