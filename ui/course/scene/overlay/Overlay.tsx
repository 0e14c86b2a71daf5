import { View } from 'react-native';
import Svg from 'react-native-svg';
import { pixelOf, useView } from '../../../scene';
import { useTune } from '../../open/tuneStore';
import { Axis, Pivot } from './Axes';
import { Drawn } from './Drawn';
import { EndMarks } from './EndMarks';
import { Handles } from './Handles';
import type { See } from './marks';
import { MomentMarks } from './MomentMarks';
import { PulseMark } from './PulseMark';
import { SketchLine } from './SketchLine';
import { SceneSigns } from './SceneSigns';
import { SnapMark } from './SnapMark';
import { TideMark } from './TideMark';
import { WayEndMark } from './WayEndMark';

/** Marks over the scene that belong to building: handles, snaps, lines being drawn, notes. */
export function Overlay({ sketchOnly = false }: { sketchOnly?: boolean }) {
  const view = useView();
  // A path or a pose that is drawn is not hidden by what else might be told.
  const drawing = useTune((s) => s.drawingPath || s.posing !== null || s.picking !== null);
  const see: See = (p) => pixelOf(view, p);
  // What follows the course follows it by itself: a drag changes one mark, not all of them.
  return (
    <View pointerEvents="none" style={{ position: 'absolute', inset: 0 }}>
      <Svg width={view.width} height={view.height}>
        <SketchLine see={see} />
        {!sketchOnly && !drawing && <SceneSigns see={see} />}
        {!sketchOnly && <Axis see={see} />}
        {!sketchOnly && <Handles />}
        {!sketchOnly && <Pivot see={see} />}
        {!sketchOnly && <SnapMark see={see} />}
        {!sketchOnly && !drawing && <EndMarks see={see} />}
        {!sketchOnly && !drawing && <MomentMarks see={see} />}
        {!sketchOnly && !drawing && <WayEndMark see={see} />}
        {!sketchOnly && <PulseMark see={see} />}
        {!sketchOnly && <TideMark see={see} />}
        <Drawn see={see} />
      </Svg>
    </View>
  );
}
