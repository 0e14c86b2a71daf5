import { useState } from 'react';
import { View } from 'react-native';
import { chosenOf, mirrorCopies, ringCopies, rowCount, stepCopies, type Copied } from '@/core/edit';
import type { Course } from '@/core/course';
import { middle, sub, unionBounds, type Vec3 } from '@/core/geometry';
import { pieceBounds } from '@/core/pieces';
import { Button, Choices, NumberField, Sheet, Text } from '../../../parts';
import { useView } from '../../../scene';
import { useEditing } from '../../../state/panelSnapshot';
import { useLayOf } from '../layStore';

type Way = 'steps' | 'row' | 'ring' | 'mirror';

/** Figures of all ways to copy, kept while the sheet is open. */
interface Figures {
  count: number;
  x: number;
  y: number;
  z: number;
  length: number;
  spacing: number;
  axis: 'x' | 'y' | 'z';
  sweep: number;
  rise: number;
  px: number;
  pz: number;
  plane: 'x' | 'z';
  at: number;
}

const round = (v: number) => Math.round(v * 100) / 100;

function begin(course: Course, choice: ReadonlySet<string>): Figures {
  const chosen = chosenOf(course, choice);
  const bounds = unionBounds(chosen.map(pieceBounds));
  const size = sub(bounds.high, bounds.low);
  const [x, , z] = middle(bounds);
  const { target } = useView.getState();
  const away = Math.hypot(target[0] - x, target[2] - z);
  // Round the middle of the view, unless that is where the pieces stand.
  const pivot: Vec3 = away > Math.max(size[0], size[2]) / 2 ? target : [x, 0, z - 4];
  return {
    count: 3,
    x: round(size[0]),
    y: 0,
    z: 0,
    length: round(size[0] * 5),
    spacing: round(size[0]),
    axis: 'x',
    sweep: 360,
    rise: 0,
    px: Math.round(pivot[0] * 2) / 2,
    pz: Math.round(pivot[2] * 2) / 2,
    plane: 'z',
    at: 0,
  };
}

/** Copies of what is chosen: in steps, in a row, round a pivot, or mirrored. */
export function CopiesSheet({ onClose }: { onClose: () => void }) {
  const { course, choice, edit, choose } = useEditing();
  // A ring whose middle was moved over the scene is gone on with.
  const { pivot, set } = useLayOf('pivot', 'set');
  const [way, setWay] = useState<Way>(pivot ? 'ring' : 'steps');
  const [f, setF] = useState(() => ({ ...begin(course, choice), ...pivot }));
  const [error, setError] = useState<string | null>(null);
  const field = (key: keyof Figures, label: string, unit: string, step: number) => (
    <NumberField
      key={key}
      label={label}
      unit={unit}
      step={step}
      value={f[key] as number}
      testID={`copies-${key}`}
      onChange={(value) => {
        if (!Number.isFinite(value)) throw new RangeError('That is not a number.');
        setError(null);
        setF({ ...f, [key]: value });
      }}
    />
  );
  const along = (metres: number): Vec3 => [
    f.axis === 'x' ? metres : 0,
    f.axis === 'y' ? metres : 0,
    f.axis === 'z' ? metres : 0,
  ];
  const rowOf = rowCount(f.length, f.spacing);
  const make = (): Copied => {
    if (way === 'steps') return stepCopies(course, choice, [f.x, f.y, f.z], f.count);
    if (way === 'row') return stepCopies(course, choice, along(f.length / rowOf), rowOf);
    if (way === 'ring') return ringCopies(course, choice, [f.px, f.pz], f.count, f.sweep, f.rise);
    return mirrorCopies(course, choice, { axis: f.plane, at: f.at });
  };
  const copy = () => {
    try {
      const { course: next, copies } = make();
      edit(() => next);
      choose(way === 'mirror' ? copies : [...choice, ...copies]);
      set({ pivot: null });
      onClose();
    } catch (problem) {
      if (!(problem instanceof RangeError)) throw problem;
      setError(problem.message);
    }
  };
  return (
    <Sheet
      title="Copies"
      open
      onClose={() => {
        set({ pivot: null });
        onClose();
      }}
    >
      <Choices
        value={way}
        onChange={(next) => {
          setWay(next);
          setError(null);
          setF({ ...f, count: next === 'ring' ? 8 : 3 });
        }}
        options={[
          { value: 'steps', label: 'Steps' },
          { value: 'row', label: 'Row' },
          { value: 'ring', label: 'Ring' },
          { value: 'mirror', label: 'Mirror' },
        ]}
      />
      <View>
        {way === 'steps' && (
          <>
            {field('count', 'Copies', '', 1)}
            {field('x', 'Step x', 'm', 0.5)}
            {field('y', 'Step y', 'm', 0.25)}
            {field('z', 'Step z', 'm', 0.5)}
          </>
        )}
        {way === 'row' && (
          <>
            <Choices
              label="Along"
              value={f.axis}
              onChange={(axis) => setF({ ...f, axis })}
              options={[
                { value: 'x', label: 'x' },
                { value: 'y', label: 'y' },
                { value: 'z', label: 'z' },
              ]}
            />
            {field('length', 'Length', 'm', 1)}
            {field('spacing', 'About every', 'm', 0.25)}
            <Text as="small" tint="slate">
              {rowOf} copies, {round(f.length / rowOf)} m apart.
            </Text>
          </>
        )}
        {way === 'ring' && (
          <>
            {field('count', 'In the ring', '', 1)}
            {field('sweep', 'Round by', '°', 15)}
            {field('rise', 'Each higher by', 'm', 0.25)}
            {field('px', 'Middle x', 'm', 0.5)}
            {field('pz', 'Middle z', 'm', 0.5)}
            <Button
              title="Move the middle on the scene"
              icon="move"
              testID="copies-pivot"
              onPress={() => {
                const { px, pz, count, sweep, rise } = f;
                set({ pivot: { px, pz, count, sweep, rise } });
                onClose();
              }}
            />
          </>
        )}
        {way === 'mirror' && (
          <>
            <Choices
              label="Over a plane square to"
              value={f.plane}
              onChange={(plane) => setF({ ...f, plane })}
              options={[
                { value: 'x', label: 'x' },
                { value: 'z', label: 'z' },
              ]}
            />
            {field('at', `Through ${f.plane}`, 'm', 0.5)}
          </>
        )}
      </View>
      {error && (
        <Text as="small" tint="rust" accessibilityRole="alert">
          {error}
        </Text>
      )}
      <Button kind="main" title="Copy" icon="copy" onPress={copy} testID="copies-make" />
    </Sheet>
  );
}
