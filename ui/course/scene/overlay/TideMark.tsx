import { Circle, G, Path } from 'react-native-svg';
import { tideLine } from '@/core/run';
import { useView } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { DAY } from '../../../theme';
import { useLay } from '../../open/laying';
import type { See } from './marks';

/** Looking so steeply down a height can be neither seen nor dragged, degrees. */
const STEEP = 75;

/** The tide line with a knob to drag it by, while the place of a course is being set. */
export function TideMark({ see }: { see: See }) {
  const tool = useLay((s) => s.tool);
  const pitch = useView((s) => s.pitch);
  // Where the line is takes all pieces to tell: asked only while it is shown.
  return tool === 'sky' && pitch <= STEEP ? <Line see={see} /> : null;
}

function Line({ see }: { see: See }) {
  const target = useView((s) => s.target);
  const width = useView((s) => s.width);
  const tide = useCourse((s) => tideLine(s.course));
  const at = see([target[0], tide, target[2]]);
  if (!at) return null;
  const [x, y] = at;
  return (
    <G testID="tide-mark">
      <Path
        d={`M0,${y}H${width}`}
        stroke={DAY.tide}
        strokeWidth={2.5}
        strokeDasharray="3 7"
        strokeLinecap="round"
      />
      <Circle cx={x} cy={y} r={15} fill={DAY.tide} stroke={DAY.card} strokeWidth={3} />
      <Path
        d={`M${x - 5},${y - 3}L${x},${y - 8}L${x + 5},${y - 3}M${x - 5},${y + 3}L${x},${y + 8}L${x + 5},${y + 3}`}
        stroke={DAY.card}
        strokeWidth={2.5}
        fill="none"
      />
    </G>
  );
}
