import { View } from 'react-native';
import { NumberField } from '../../../parts';

/** Three figures, along x, y and z. */
export function Triple({
  label,
  unit,
  value,
  onChange,
}: {
  label: string;
  unit: string;
  value: readonly number[];
  onChange: (value: [number, number, number]) => void;
}) {
  return (
    <View>
      {(['x', 'y', 'z'] as const).map((axis, i) => (
        <NumberField
          key={axis}
          label={`${label} ${axis}`}
          unit={unit}
          step={unit === '°' ? 15 : 0.25}
          value={value[i]}
          onChange={(next) =>
            onChange(value.map((v, k) => (k === i ? next : v)) as [number, number, number])
          }
        />
      ))}
    </View>
  );
}
