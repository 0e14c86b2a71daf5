import { Slider as ElementsSlider } from '@rneui/themed';
import { View } from 'react-native';
import { TARGET, useColours } from '../../theme';

/** A value from 0 to 1, drawn along a line. */
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
    <View role="group" aria-label={label}>
      <ElementsSlider
        value={value}
        onValueChange={onChange}
        minimumValue={0}
        maximumValue={1}
        minimumTrackTintColor={colours.tide}
        maximumTrackTintColor={colours.line}
        allowTouchTrack
        style={{ height: TARGET }}
        trackStyle={{ height: 4, borderRadius: 2 }}
        thumbStyle={{ width: 22, height: 22, borderRadius: 11, backgroundColor: colours.tide }}
      />
    </View>
  );
}
