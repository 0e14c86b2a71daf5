import { View } from 'react-native';
import { movePartPoint } from '@/core/edit';
import type { ShapePart } from '@/core/course';
import { NumberField } from '../../../parts';

/** The measures of one part of a shape, and of the point of it that is held. */
export function PartFigures({
  part,
  point,
  onChange,
}: {
  part: ShapePart;
  point: number;
  onChange: (part: ShapePart) => void;
}) {
  const figure = (label: string, value: number, set: (v: number) => ShapePart, unit = 'm') => (
    <NumberField
      key={label}
      label={label}
      unit={unit}
      step={unit === '°' ? 5 : 0.05}
      value={value}
      onChange={(v) => onChange(set(v))}
    />
  );
  if (part.kind === 'ball') {
    return <View>{figure('Radius', part.radius, (radius) => ({ ...part, radius }))}</View>;
  }
  if (part.kind === 'box') {
    return (
      <View>
        {(['Length', 'Height', 'Depth'] as const).map((label, i) =>
          figure(label, part.size[i], (v) => ({
            ...part,
            size: part.size.map((old, k) => (k === i ? v : old)) as [number, number, number],
          })),
        )}
        {figure('Turned', part.turn ?? 0, (turn) => ({ ...part, turn }), '°')}
      </View>
    );
  }
  if (part.kind === 'capsule') {
    return (
      <View>
        {figure('Radius', part.radius, (radius) => ({ ...part, radius }))}
        {figure('Depth', part.depth ?? 0.1, (depth) => ({ ...part, depth }))}
      </View>
    );
  }
  const at = part.points[point];
  return (
    <View>
      {at &&
        (['x', 'y'] as const).map((axis, i) =>
          figure(`Point ${point + 1} ${axis}`, at[i], (v) =>
            movePartPoint(part, point, i === 0 ? [v, at[1]] : [at[0], v]),
          ),
        )}
      {figure('Depth', part.depth ?? 1, (depth) => ({ ...part, depth }))}
      {figure('Off the middle across', part.across ?? 0, (across) => ({ ...part, across }))}
    </View>
  );
}
