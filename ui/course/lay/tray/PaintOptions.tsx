import { View } from 'react-native';
import { paintPieces, type Paint } from '@/core/edit';
import { MATERIALS, type Material } from '@/core/course';
import { TONES } from '@/core/pieces';
import { Stepper, Text } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { TARGET } from '../../../theme';
import { useLayOf } from '../../open/laying';
import { Swatch } from './Swatch';
import { ToolButton } from './ToolButton';

/** Colours of the harbour, beside the materials. */
const COLOURS: Readonly<Record<string, string>> = {
  '#C8553D': 'Buoy red',
  '#D98E4A': 'Amber',
  '#D9B34A': 'Oilskin',
  '#6F8F4E': 'Weed',
  '#3F7F7A': 'Deep tide',
  '#4F6FA0': 'Ink blue',
  '#7A5A94': 'Heather',
  '#E9E2D0': 'Limewash',
  '#3A4247': 'Tar',
};

/** All materials and colours there are to pick. */
const SWATCHES: readonly { paint: Paint; label: string; fill: string }[] = [
  ...MATERIALS.map((material: Material) => ({
    paint: { material },
    label: `${material[0].toUpperCase()}${material.slice(1)}`,
    fill: TONES[material].top,
  })),
  ...Object.entries(COLOURS).map(([colour, label]) => ({ paint: { colour }, label, fill: colour })),
];

const same = (a: Paint, b: Paint) => JSON.stringify(a) === JSON.stringify(b);

/** Materials and colours to paint with, and taking a paint from a piece. */
export function PaintOptions() {
  const { paint, picking, takePaint, togglePicking } = useLayOf(
    'paint',
    'picking',
    'takePaint',
    'togglePicking',
  );
  const { choice, edit } = useEditing();
  return (
    <>
      <ToolButton
        icon="crosshair"
        label="Pick"
        on={picking}
        onPress={() => togglePicking()}
        testID="paint-pick"
      />
      <ToolButton
        icon="droplet"
        label="Chosen"
        disabled={choice.size === 0}
        onPress={() => edit((course) => paintPieces(course, choice, paint))}
      />
      <GroundOptions />
      <ToolButton
        icon="rotate-ccw"
        label="Own"
        on={paint === 'own'}
        onPress={() => takePaint('own')}
      />
      <OwnColour
        colour={typeof paint === 'object' && 'colour' in paint ? paint.colour : undefined}
        onChange={(colour) => takePaint({ colour })}
      />
      {SWATCHES.map((swatch) => (
        <Swatch
          key={swatch.label}
          label={swatch.label}
          fill={swatch.fill}
          on={same(paint, swatch.paint)}
          onPress={() => takePaint(swatch.paint)}
        />
      ))}
    </>
  );
}

/** Painting the ground: all of it, or by a brush of some width. */
function GroundOptions() {
  const { wholeGround, groundBrush, brush, setBrush, toggleGroundBrush, toggleWholeGround } =
    useLayOf(
      'wholeGround',
      'groundBrush',
      'brush',
      'setBrush',
      'toggleGroundBrush',
      'toggleWholeGround',
    );
  return (
    <>
      <ToolButton
        icon="edit-2"
        label="Brush"
        on={groundBrush}
        onPress={() => toggleGroundBrush()}
        testID="paint-brush"
      />
      {groundBrush && (
        <Stepper
          label="Width"
          value={2 * brush}
          unit="m"
          step={1}
          min={1}
          max={40}
          onChange={(width) => setBrush(width / 2)}
        />
      )}
      <ToolButton
        icon="maximize"
        label="Ground"
        on={wholeGround}
        onPress={() => toggleWholeGround()}
        testID="paint-ground"
      />
    </>
  );
}

/** Any colour at all, by the browser's own way to choose one. */
function OwnColour({
  colour = '#C8553D',
  onChange,
}: {
  colour?: string;
  onChange: (colour: string) => void;
}) {
  return (
    <View style={{ width: 62, alignItems: 'center', gap: 2 }}>
      <input
        type="color"
        aria-label="Any colour"
        data-testid="paint-any"
        value={colour.toLowerCase()}
        onChange={(event) => onChange(event.target.value.toUpperCase())}
        style={{ width: TARGET, height: TARGET, border: 0, padding: 0, background: 'none' }}
      />
      <Text as="small">Any</Text>
    </View>
  );
}
