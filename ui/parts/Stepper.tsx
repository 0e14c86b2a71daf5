import { TextInput, View } from 'react-native';
import { RADIUS, TARGET, TYPE, useColours } from '../theme';
import { NO_OUTLINE } from './focus';
import { shortNumber } from './format';
import { IconButton } from './IconButton';
import { Text } from './Text';
import { useHeld } from './useHeld';
import { useNumberEntry } from './useNumberEntry';

interface StepperProps {
  readonly label: string;
  readonly value: number;
  readonly unit?: string;
  readonly step: number;
  readonly min: number;
  readonly max: number;
  readonly onChange: (value: number) => void;
  readonly testID?: string;
}

/** A number in little room: its name above, and a step down and a step up beside a field to type it in. */
export function Stepper({
  label,
  value,
  unit = '',
  step,
  min,
  max,
  onChange,
  testID,
}: StepperProps) {
  const colours = useColours();
  const go = (by: number) => {
    const next = Math.min(max, Math.max(min, Math.round((value + by) * 1e4) / 1e4));
    if (next !== value) onChange(next);
  };
  const less = useHeld(() => go(-step), value > min);
  const more = useHeld(() => go(step), value < max);
  const set = (typed: number) => {
    if (typed < min || typed > max) {
      throw new RangeError(`From ${shortNumber(min)} to ${shortNumber(max)}${unit && ` ${unit}`}.`);
    }
    // Looked at and left, it stays as exact as it was.
    if (shortNumber(typed) !== shortNumber(value)) onChange(typed);
  };
  const { typed, error, type, finish } = useNumberEntry({ value, step, onChange: set });
  return (
    <View
      style={{
        alignItems: 'center',
        borderWidth: 1,
        borderColor: error ? colours.rust : colours.line,
        borderRadius: RADIUS.s,
        backgroundColor: colours.card,
        paddingTop: 4,
      }}
    >
      <Text as="small" tint="slate" centred style={{ paddingHorizontal: 4, maxWidth: 132 }}>
        {label}
      </Text>
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <IconButton icon="minus" label={`${label} less`} disabled={value <= min} {...less} />
        <TextInput
          value={typed ?? `${shortNumber(value)}${unit && ` ${unit}`}`}
          onFocus={() => type(shortNumber(value))}
          onChangeText={type}
          onSubmitEditing={finish}
          onBlur={finish}
          selectTextOnFocus
          inputMode="text"
          aria-label={label}
          testID={testID}
          style={[
            TYPE.figures,
            NO_OUTLINE,
            { width: 66, height: TARGET, color: colours.ink, textAlign: 'center' },
          ]}
        />
        <IconButton icon="plus" label={`${label} more`} disabled={value >= max} {...more} />
      </View>
      {error && (
        <Text as="small" tint="rust" accessibilityRole="alert" style={{ paddingBottom: 4 }}>
          {error}
        </Text>
      )}
    </View>
  );
}
