import { Circle, G, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { Vec3 } from '@/core/geometry';
import { cameraOf, lookAt } from '@/core/route';
import { axes, eyePlace, FIELD, pixelOf, useView } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useLastRun } from '../../state/lastRun';
import { DAY } from '../../theme';
import { useMeantWay } from '../useMeantWay';

const TAN = Math.tan((FIELD * Math.PI) / 360);
/** Width of a phone's picture as a part of its height. */
const PHONE = 0.52;

/** What the course's camera would show at a part of the way: its frame, as it stands in the scene. */
export function CameraFrame({ at }: { at: number }) {
  const course = useCourse((s) => s.course);
  const view = useView();
  const run = useLastRun((s) => s.way);
  const meant = useMeantWay(course);
  const way: readonly Vec3[] = run ?? meant.way;
  if (way.length < 2) return null;
  const i = Math.min(way.length - 2, Math.floor(at * (way.length - 1)));
  const [p, q] = [way[i], way[i + 1]];
  const part = at * (way.length - 1) - i;
  const spot = [0, 1, 2].map((axis) => p[axis] + (q[axis] - p[axis]) * part) as unknown as Vec3;
  const heading = (Math.atan2(-(q[2] - p[2]), q[0] - p[0]) * 180) / Math.PI;
  const camera = cameraOf(course, true);
  const side = camera.kind === 'side';
  const facing = side ? (Math.abs(heading) > 90 ? 180 : 0) : heading;
  const look = lookAt(
    camera,
    { x: spot[0], y: spot[1], z: spot[2], heading: facing },
    camera.distance * TAN * PHONE,
  );
  const { right, up } = axes(look);
  const tall = look.distance * TAN;
  const corner = (sx: number, sy: number): Vec3 =>
    [0, 1, 2].map(
      (axis) => look.target[axis] + right[axis] * sx * tall * PHONE + up[axis] * sy * tall,
    ) as unknown as Vec3;
  const eye = eyePlace(look);
  const corners = [corner(-1, 1), corner(1, 1), corner(1, -1), corner(-1, -1)].map((c) =>
    pixelOf(view, c),
  );
  const from = pixelOf(view, eye);
  const runner = pixelOf(view, [spot[0], spot[1] + 0.5, spot[2]]);
  const seen = corners.filter((c) => c !== null);
  return (
    <G testID="camera-frame">
      {seen.length === 4 && (
        <Path
          d={`M${seen.map(([x, y]) => `${x},${y}`).join('L')}Z`}
          fill={DAY.heather}
          fillOpacity={0.08}
          stroke={DAY.heather}
          strokeWidth={3}
        />
      )}
      {from &&
        seen.map(([x, y], k) => (
          <Path
            key={k}
            d={`M${from[0]},${from[1]}L${x},${y}`}
            stroke={DAY.heather}
            strokeWidth={1.5}
            strokeDasharray="3 6"
          />
        ))}
      {from && (
        <Rect x={from[0] - 9} y={from[1] - 7} width={18} height={14} rx={3} fill={DAY.heather} />
      )}
      {runner && (
        <Circle
          cx={runner[0]}
          cy={runner[1]}
          r={8}
          fill={DAY.card}
          stroke={DAY.heather}
          strokeWidth={3}
        />
      )}
      {seen[0] && (
        <Rect
          x={seen[0][0]}
          y={seen[0][1] - 28}
          width={124}
          height={24}
          rx={8}
          fill={DAY.card}
          stroke={DAY.heather}
        />
      )}
      {seen[0] && (
        <SvgText
          x={seen[0][0] + 8}
          y={seen[0][1] - 11}
          fontSize={13}
          fontFamily="AtkinsonHyperlegibleNext_600SemiBold, sans-serif"
          fill={DAY.ink}
        >
          What players see
        </SvgText>
      )}
    </G>
  );
}
