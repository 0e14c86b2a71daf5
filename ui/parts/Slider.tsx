import { View } from 'react-native';
import { TARGET, useColours } from '../theme';

interface SliderProps {
  readonly label: string;
  readonly value: number;
  readonly onChange: (value: number) => void;
  /** The part of the line that a key goes by. */
  readonly step?: number;
  /** The value as it is said. */
  readonly words?: string;
  readonly testID?: string;
}

/** Parts of the line that a key goes by. */
const STEP = 0.005;

/**
 * A value from 0 to 1, drawn along a line. The browser's own control: the component library's can neither be named
 * nor worked by keys.
 */
export function Slider({ label, value, onChange, step = STEP, words, testID }: SliderProps) {
  const colours = useColours();
  return (
    <View>
      <input
        type="range"
        aria-label={label}
        min={0}
        max={1}
        step={step}
        aria-valuetext={words}
        data-testid={testID}
        value={value}
        onChange={(event) => onChange(Number(event.target.value))}
        style={{ width: '100%', height: TARGET, margin: 0, accentColor: colours.tide }}
      />
    </View>
  );
}
