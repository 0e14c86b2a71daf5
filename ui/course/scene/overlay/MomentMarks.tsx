import { Circle, G, Line, Path } from 'react-native-svg';
import { useCourse } from '../../../state/courseStore';
import { useMoments } from '../../../state/useMoments';
import type { See } from './marks';

const TIDE = '#2E7C88';

/** The moments of runs that are kept, where the runner was. */
export function MomentMarks({ see }: { see: See }) {
  const id = useCourse((s) => s.id);
  return useMoments(id).map(({ at, place }) => {
    const [x, y, z] = place;
    const foot = see(place);
    const head = see([x, y + 1.2, z]);
    if (!foot || !head) return null;
    return (
      <G key={at}>
        <Line x1={foot[0]} y1={foot[1]} x2={head[0]} y2={head[1]} stroke={TIDE} strokeWidth={2} />
        <Circle cx={head[0]} cy={head[1]} r={10} fill="#FBF9F4" stroke={TIDE} strokeWidth={2} />
        <Path d={`M${head[0] - 3.5} ${head[1] - 5} h7 v10 l-3.5 -3 l-3.5 3 Z`} fill={TIDE} />
      </G>
    );
  });
}
