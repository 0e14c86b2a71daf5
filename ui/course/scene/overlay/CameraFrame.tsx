import { Circle, G, Path, Rect, Text as SvgText } from 'react-native-svg';
import { mapVec3, type Vec3 } from '@/core/geometry';
import { axes, eyePlace, TAN_HALF_FIELD } from '@/core/sight';
import { pixelOf, useView } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { useLastRun } from '../../../state/lastRun';
import { DAY } from '../../../theme';
import { FRAME_SHAPES, insetFrame, playersEye } from '../../open/playersEye';
import { useTune } from '../../open/tuneStore';
import { useMeantWay } from '../../open/useMeantWay';

/** What the course's camera would show at a part of the way: its frame, as it stands in the scene. */
export function CameraFrame({ at }: { at: number }) {
  const course = useCourse((s) => s.course);
  const frameShape = useTune((s) => s.frameShape);
  const view = useView();
  const run = useLastRun((s) => s.way);
  const meant = useMeantWay(course);
  const way: readonly Vec3[] = run ?? meant.way;
  const seenFrom = playersEye(course, way, at, frameShape);
  if (!seenFrom) return null;
  const { look, runner: spot } = seenFrom;
  const aspect = FRAME_SHAPES[frameShape];
  const { right, up } = axes(look);
  const tall = look.distance * TAN_HALF_FIELD;
  const corner = (sx: number, sy: number): Vec3 =>
    mapVec3((axis) => look.target[axis] + right[axis] * sx * tall * aspect + up[axis] * sy * tall);
  const eye = eyePlace(look);
  const corners = [corner(-1, 1), corner(1, 1), corner(1, -1), corner(-1, -1)].map((c) =>
    pixelOf(view, c),
  );
  const from = pixelOf(view, eye);
  const runner = pixelOf(view, [spot[0], spot[1] + 0.5, spot[2]]);
  const inset = insetFrame(frameShape, view.height);
  const seen = corners.filter((c) => c !== null);
  return (
    <G testID="camera-frame">
      <Rect
        x={inset.left - 2}
        y={view.height - inset.bottom - inset.height - 2}
        width={inset.width + 4}
        height={inset.height + 4}
        rx={3}
        fill="none"
        stroke={DAY.heather}
        strokeWidth={4}
        testID="players-see"
      />
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
      {seen[0] && <Caption at={seen[0]} />}
    </G>
  );
}

function Caption({ at: [x, y] }: { at: readonly [number, number] }) {
  return (
    <>
      <Rect x={x} y={y - 28} width={124} height={24} rx={8} fill={DAY.card} stroke={DAY.heather} />
      <SvgText
        x={x + 8}
        y={y - 11}
        fontSize={13}
        fontFamily="AtkinsonHyperlegibleNext_600SemiBold, sans-serif"
        fill={DAY.ink}
      >
        What players see
      </SvgText>
    </>
  );
}
