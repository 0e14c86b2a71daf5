import { View } from 'react-native';
import Svg, { Circle, G, Line, Path } from 'react-native-svg';
import { cloneState, FULL_AIM, tick } from '@/core/run';
import { Text } from '../../parts';
import { pixelOf, useView } from '../../scene';
import { DAY } from '../../theme';
import type { LiveRun } from '../liveRun';
import type { Aim } from './aim';
import { runnerPixel } from './useFlick';

/** Ticks of its way that are shown beforehand. */
const SHOWN_TICKS = 54;

/** Where a stroke would send the stone at first, and how hard it is drawn. */
export function FlickAim({ live, aim, ready }: { live: LiveRun; aim: Aim | null; ready: boolean }) {
  const view = useView();
  const at = runnerPixel(live);
  return (
    <View pointerEvents="none" style={{ position: 'absolute', inset: 0 }} testID="flick-aim">
      <Svg width={view.width} height={view.height}>
        {ready && at && !aim && (
          <Circle
            cx={at[0]}
            cy={at[1]}
            r={26}
            fill="none"
            stroke={DAY.moss}
            strokeWidth={3}
            strokeDasharray="5 6"
          />
        )}
        {aim && at && (
          <G>
            <Path
              d={wayOf(live, aim)}
              stroke={DAY.moss}
              strokeWidth={5}
              fill="none"
              strokeDasharray="2 9"
              strokeLinecap="round"
            />
            <Circle cx={at[0]} cy={at[1]} r={30} fill="none" stroke={DAY.line} strokeWidth={6} />
            <Path d={arc(at, 30, aim.strength)} stroke={DAY.moss} strokeWidth={6} fill="none" />
            <Line
              x1={at[0] - 5}
              y1={at[1]}
              x2={at[0] + 5}
              y2={at[1]}
              stroke={DAY.ink}
              strokeWidth={2}
            />
          </G>
        )}
      </Svg>
      {aim && at && (
        <Text
          as="figures"
          style={{ position: 'absolute', left: at[0] + 38, top: at[1] - 12, color: DAY.ink }}
        >
          {Math.round(aim.strength * 100)} %
        </Text>
      )}
    </View>
  );
}

/** The first of the way a stroke would go, by the simulation itself, as a path over the picture. */
function wayOf(live: LiveRun, { x, z, strength }: Aim): string {
  const view = useView.getState();
  const s = cloneState(live.state);
  const k = strength * FULL_AIM;
  const points: string[] = [];
  for (let i = 0; i < SHOWN_TICKS; i++) {
    tick(live.world, s, { x: Math.round(x * k), z: Math.round(z * k), jump: i === 0 }, () => {});
    const pixel = i % 3 === 0 && pixelOf(view, [s.x, s.y + 0.2, s.z]);
    if (pixel) points.push(`${pixel[0].toFixed(1)},${pixel[1].toFixed(1)}`);
  }
  s.bodies?.pack();
  return points.length > 1 ? `M${points.join('L')}` : '';
}

/** A part of a circle, from its top to the right. */
function arc([x, y]: readonly [number, number], r: number, part: number): string {
  const a = Math.min(0.9999, part) * 2 * Math.PI;
  const [ex, ey] = [x + r * Math.sin(a), y - r * Math.cos(a)];
  return `M${x},${y - r}A${r},${r} 0 ${a > Math.PI ? 1 : 0} 1 ${ex.toFixed(1)},${ey.toFixed(1)}`;
}
