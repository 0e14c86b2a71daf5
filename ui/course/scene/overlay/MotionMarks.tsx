import { useMemo } from 'react';
import { Circle, G, Path } from 'react-native-svg';
import type { Piece } from '@/core/course';
import { type Vec3, convexHull } from '@/core/geometry';
import { applyPose } from '@/core/motion';
import { pieceBounds } from '@/core/pieces';
import { DEFAULT_GRAVITY, posesAlong, USUAL_RANGE } from '@/core/run';
import { useCourse } from '../../../state/courseStore';
import { DAY } from '../../../theme';
import { path, type See } from './marks';

const ONION_SKINS = 12;

/** Outlines of a mover all along its longest motion, as far apart in time as each other. */
export function Onion({ piece, see }: { piece: Piece; see: See }) {
  const course = useCourse((s) => s.course);
  const { tempo } = course;
  const poses = useMemo(
    () => posesAlong({ ...course, tempo }, piece, ONION_SKINS)?.poses ?? [],
    // Nothing else of the course changes how a piece moves.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [piece, tempo],
  );
  const { low, high } = pieceBounds(piece);
  return (
    <>
      {poses.map((pose, i) => {
        const corners = [0, 1, 2, 3, 4, 5, 6, 7].map((k): Vec3 => [
          k & 1 ? high[0] : low[0],
          k & 2 ? high[1] : low[1],
          k & 4 ? high[2] : low[2],
        ]);
        const seen = corners.map((p) => see(applyPose(pose, p))).filter((p) => p !== null);
        return (
          <Path
            key={i}
            d={`${path(convexHull(seen))}Z`}
            fill={DAY.tide}
            fillOpacity={0.06}
            stroke={DAY.tide}
            strokeOpacity={0.55}
            strokeWidth={1.5}
          />
        );
      })}
    </>
  );
}

/** How near the runner must be: circles on the level of the piece. */
export function Ranges({ piece, see }: { piece: Piece; see: See }) {
  const radii: [number, string][] = [];
  const { wake } = piece;
  if (wake?.by === 'near') radii.push([wake.range ?? USUAL_RANGE, '10 5']);
  if (wake?.sleep !== undefined) radii.push([wake.sleep, '2 7']);
  for (const motion of piece.motion ?? []) {
    if (motion.kind === 'chase') radii.push([motion.range, '10 5']);
    if (motion.kind === 'arrive') radii.push([motion.distance, '10 5']);
  }
  return (
    <>
      {radii.map(([r, dash], i) => (
        <Path
          key={i}
          d={path(
            Array.from({ length: 49 }, (_, k) => {
              const a = (k * Math.PI) / 24;
              return see([
                piece.at[0] + r * Math.cos(a),
                piece.at[1],
                piece.at[2] + r * Math.sin(a),
              ]);
            }),
          )}
          stroke={DAY.tide}
          strokeWidth={2}
          strokeDasharray={dash}
          fill="none"
        />
      ))}
    </>
  );
}

/** The way of the first copy a thrower sends out, with the copy where it leaves. */
export function Throw({ piece, see }: { piece: Piece; see: See }) {
  const g = useCourse((s) => s.course.gravity) ?? DEFAULT_GRAVITY;
  const { speed, rise = 0, size } = piece.thrower!;
  const { low, high } = pieceBounds(piece);
  const heading = ((piece.turn?.[1] ?? 0) * Math.PI) / 180;
  const up = (rise * Math.PI) / 180;
  const from: Vec3 = [
    piece.at[0] + Math.cos(heading) * ((high[0] - low[0]) / 2 + size / 2),
    piece.at[1] + (high[1] - low[1]) * 0.75,
    piece.at[2] - Math.sin(heading) * ((high[2] - low[2]) / 2 + size / 2),
  ];
  const at = (t: number): Vec3 => [
    from[0] + Math.cos(heading) * Math.cos(up) * speed * t,
    from[1] + Math.sin(up) * speed * t - (g * t * t) / 2,
    from[2] - Math.sin(heading) * Math.cos(up) * speed * t,
  ];
  const first = see(from);
  return (
    <G>
      <Path
        d={path(Array.from({ length: 25 }, (_, i) => see(at(i * 0.05))))}
        stroke={DAY.rust}
        strokeWidth={2.5}
        strokeDasharray="6 5"
        fill="none"
      />
      {first && (
        <Circle
          cx={first[0]}
          cy={first[1]}
          r={11}
          fill={DAY.rustSoft}
          stroke={DAY.rust}
          strokeWidth={3}
        />
      )}
    </G>
  );
}
