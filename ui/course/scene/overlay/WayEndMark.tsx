import { Circle, G, Line, Path } from 'react-native-svg';
import { useWays } from '../../open/way/wayStore';
import type { See } from './marks';

const RUST = '#B4472E';

/** Where runs that once led through come to an end since the last edit. */
export function WayEndMark({ see }: { see: See }) {
  const said = useWays((s) => s.said);
  return said.map(({ key, verdict }) => {
    if (verdict.kind !== 'ends') return null;
    const [x, y, z] = verdict.at;
    const foot = see(verdict.at);
    const head = see([x, y + 1.6, z]);
    if (!foot || !head) return null;
    return (
      <G key={key}>
        <Line x1={foot[0]} y1={foot[1]} x2={head[0]} y2={head[1]} stroke={RUST} strokeWidth={3} />
        <Circle cx={head[0]} cy={head[1]} r={13} fill="#FBF9F4" stroke={RUST} strokeWidth={3} />
        <Path
          d={`M${head[0] - 5} ${head[1] - 5} l10 10 m0 -10 l-10 10`}
          stroke={RUST}
          strokeWidth={3}
          strokeLinecap="round"
        />
      </G>
    );
  });
}
