import { View } from 'react-native';
import { TARGET, useColours } from '../../../theme';

/** Parts of the line that a key goes by. */
const STEP = 0.005;

/**
 * A value from 0 to 1, drawn along a line. The browser's own control: the component library's can neither be named
 * nor worked by keys.
 */
export function Slider({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number;
  onChange: (value: number) => void;
}) {
  const colours = useColours();
  return (
    <View>
      <input
        type="range"
        aria-label={label}
        min={0}
        max={1}
        step={STEP}
        value={value}
        onChange={(event) => onChange(Number(event.target.value))}
        style={{ width: '100%', height: TARGET, margin: 0, accentColor: colours.tide }}
      />
    </View>
  );
}
