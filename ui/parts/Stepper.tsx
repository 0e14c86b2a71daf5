import { View } from 'react-native';
import { useColours } from '../theme';
import { IconButton } from './IconButton';
import { shortNumber } from './format';
import { Text } from './Text';

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

/** A number in little room: its name above, a step down and a step up beside it. */
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
  const go = (by: number) =>
    onChange(Math.min(max, Math.max(min, Math.round((value + by) * 1e4) / 1e4)));
  return (
    <View
      style={{
        alignItems: 'center',
        borderWidth: 1,
        borderColor: colours.line,
        borderRadius: 8,
        backgroundColor: colours.card,
        paddingTop: 4,
      }}
    >
      <Text as="small" tint="slate" centred style={{ paddingHorizontal: 4, maxWidth: 132 }}>
        {label}
      </Text>
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <IconButton
          icon="minus"
          label={`${label} less`}
          disabled={value <= min}
          onPress={() => go(-step)}
        />
        <Text as="figures" testID={testID} style={{ minWidth: 44, textAlign: 'center' }}>
          {shortNumber(value)}
          {unit && ` ${unit}`}
        </Text>
        <IconButton
          icon="plus"
          label={`${label} more`}
          disabled={value >= max}
          onPress={() => go(step)}
        />
      </View>
    </View>
  );
}
