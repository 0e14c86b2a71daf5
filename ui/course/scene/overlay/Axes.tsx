import { Circle, G, Line, Path } from 'react-native-svg';
import { chosenOf, imageCount } from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import { useCourse } from '../../../state/courseStore';
import { useLay, useLayOf } from '../../open/laying';
import { MOSS, PAPER, Label, path, type See } from './marks';

/** The middle of a ring of copies, with where each would stand. */
export function Pivot({ see }: { see: See }) {
  const { pivot, level } = useLayOf('pivot', 'level');
  const [first] = useCourse((s) => chosenOf(s.course, s.choice));
  if (!pivot || !first) return null;
  const { px, pz, count, sweep } = pivot;
  const middle = see([px, level, pz]);
  const [dx, dz] = [first.at[0] - px, first.at[2] - pz];
  const step = Math.abs(sweep) >= 360 ? sweep / count : sweep / Math.max(1, count - 1);
  const places = Array.from({ length: count }, (_, i) => {
    const a = (i * step * Math.PI) / 180;
    const [c, s] = [Math.cos(a), Math.sin(a)];
    return see([px + dx * c + dz * s, first.at[1], pz + dz * c - dx * s]);
  });
  return (
    <G>
      {places.map(
        (p, i) =>
          p && (
            <G key={i}>
              {middle && (
                <Line
                  x1={middle[0]}
                  y1={middle[1]}
                  x2={p[0]}
                  y2={p[1]}
                  stroke={MOSS}
                  strokeWidth={1.5}
                  strokeDasharray="3 6"
                />
              )}
              <Circle cx={p[0]} cy={p[1]} r={7} fill={PAPER} stroke={MOSS} strokeWidth={2.5} />
            </G>
          ),
      )}
      {middle && (
        <>
          <Circle cx={middle[0]} cy={middle[1]} r={13} fill={MOSS} stroke={PAPER} strokeWidth={3} />
          <Label at={[middle[0], middle[1] - 34]} words="Middle of the ring" tint={MOSS} />
        </>
      )}
    </G>
  );
}

/** The line or middle a course is symmetrical about. */
export function Axis({ see }: { see: See }) {
  const symmetry = useCourse((s) => s.course.symmetry);
  const level = useLay((s) => s.level);
  if (!symmetry) return null;
  const { kind, at } = symmetry;
  const images = imageCount(symmetry);
  const [x, z] = at;
  const far = 60;
  const ends: Vec3[][] =
    kind === 'mirror-x'
      ? [
          [
            [x, level, z - far],
            [x, level, z + far],
          ],
        ]
      : kind === 'mirror-z'
        ? [
            [
              [x - far, level, z],
              [x + far, level, z],
            ],
          ]
        : Array.from({ length: images }, (_, i): Vec3[] => {
            const a = (i * 2 * Math.PI) / images;
            return [
              [x, level, z],
              [x + far * Math.cos(a), level, z + far * Math.sin(a)],
            ];
          });
  const middle = see([x, level, z]);
  return (
    <G>
      {ends.map(([a, b], i) => {
        // Long lines are cut into stretches, as what lies behind the eye cannot be seen.
        const parts = Array.from({ length: 41 }, (_, k): Vec3 => [
          a[0] + ((b[0] - a[0]) * k) / 40,
          level,
          a[2] + ((b[2] - a[2]) * k) / 40,
        ]);
        return (
          <Path
            key={i}
            d={path(parts.map(see))}
            stroke={MOSS}
            strokeWidth={2}
            strokeDasharray="10 6 2 6"
            fill="none"
            opacity={0.85}
          />
        );
      })}
      {middle && (
        <Circle cx={middle[0]} cy={middle[1]} r={6} fill={PAPER} stroke={MOSS} strokeWidth={3} />
      )}
    </G>
  );
}
