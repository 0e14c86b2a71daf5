import { Circle, G, Line, Path } from 'react-native-svg';
import type { Vec3 } from '@/core/geometry';
import { useCourse } from '../../state/courseStore';
import { useLayOf } from '../layStore';
import { INK, MOSS, PAPER, Label, path, type See } from './marks';

/** The sketched route with its notes, as strongly as the maker wants to see it. */
export function SketchLine({ see }: { see: See }) {
  const sketch = useCourse((s) => s.course.sketch);
  const { sketching, sketchPoint } = useLayOf('sketching', 'sketchPoint');
  const shown = sketching ? 1 : (sketch?.shown ?? 0.6);
  if (!sketch || shown <= 0) return null;
  const points = sketch.points.map((p) => see(p as Vec3));
  return (
    <G opacity={shown}>
      <Path
        d={path(points, sketch.closed)}
        fill="none"
        stroke={INK}
        strokeWidth={2.5}
        strokeDasharray="2 6"
        strokeLinecap="round"
      />
      {sketching === 'points' &&
        points.map(
          (p, i) =>
            p && (
              <Circle
                key={i}
                cx={p[0]}
                cy={p[1]}
                r={8}
                fill={sketchPoint === i ? MOSS : PAPER}
                stroke={INK}
                strokeWidth={2}
              />
            ),
        )}
      {sketch.notes?.map(({ at, text }, i) => {
        const p = see(at as Vec3);
        return (
          p && (
            <G key={i}>
              <Line x1={p[0]} y1={p[1]} x2={p[0]} y2={p[1] - 26} stroke={INK} strokeWidth={1.5} />
              <Circle cx={p[0]} cy={p[1]} r={3.5} fill={INK} />
              <Label at={[p[0], p[1] - 38]} words={text} />
            </G>
          )
        );
      })}
    </G>
  );
}
