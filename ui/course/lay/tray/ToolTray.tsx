import { View } from 'react-native';
import { Chip } from '../../../parts';
import { useCourse } from '../../../state/courseStore';
import { SPACE } from '../../../theme';
import { takeTool, useLay, type LayTool } from '../../open/laying';
import { ChooseOptions } from './ChooseOptions';
import { EraseOptions } from './EraseOptions';
import { FillOptions } from './FillOptions';
import { KitOptions } from './KitOptions';
import { LayerOptions } from './LayerOptions';
import { OutlineOptions } from './OutlineOptions';
import { PaintOptions } from './PaintOptions';
import { ScatterOptions } from './ScatterOptions';
import { SkyOptions } from './SkyOptions';
import { SymmetryOptions } from './SymmetryOptions';
import { WallOptions } from './WallOptions';

const LABELS: Record<Exclude<LayTool, 'pieces'>, string> = {
  choose: 'Choose',
  wall: 'Wall',
  fill: 'Fill',
  outline: 'Platform',
  scatter: 'Scatter',
  paint: 'Paint',
  erase: 'Erase',
  symmetry: 'Symmetry',
  kit: 'Kit',
  layers: 'Layers',
  sky: 'Sky',
};

const OPTIONS: Record<Exclude<LayTool, 'pieces'>, () => React.ReactNode> = {
  choose: ChooseOptions,
  wall: WallOptions,
  fill: FillOptions,
  outline: OutlineOptions,
  scatter: ScatterOptions,
  paint: PaintOptions,
  erase: EraseOptions,
  symmetry: SymmetryOptions,
  kit: KitOptions,
  layers: LayerOptions,
  sky: SkyOptions,
};

/** The tools, one of which is in use. */
export function ToolChips() {
  const tool = useLay((s) => s.tool);
  return (
    <>
      {(Object.keys(LABELS) as (keyof typeof LABELS)[]).map((id) => (
        <Chip
          key={id}
          role="tab"
          label={LABELS[id]}
          on={tool === id}
          onPress={() => {
            useCourse.getState().take(null);
            takeTool(id);
          }}
        />
      ))}
    </>
  );
}

/** The figures and buttons of the tool in use: in a row on a phone, below each other where there is room. */
export function ToolOptions({ wide }: { wide: boolean }) {
  const tool = useLay((s) => s.tool);
  if (tool === 'pieces') return null;
  const Options = OPTIONS[tool];
  return (
    <View
      style={{
        flexDirection: 'row',
        flexWrap: wide ? 'wrap' : 'nowrap',
        // Two steppers stand side by side in the tray of a wide screen.
        gap: wide ? SPACE.xs : SPACE.s,
        alignItems: 'center',
      }}
    >
      <Options key={tool} />
    </View>
  );
}
