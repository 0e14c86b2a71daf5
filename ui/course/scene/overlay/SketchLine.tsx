import { Circle, G, Line, Path } from 'react-native-svg';
import { sketchLines } from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import { useCourse } from '../../../state/courseStore';
import { useLayOf } from '../../open/laying';
import { INK, MOSS, PAPER, Label, path, type See } from './marks';

/** The sketched route with its notes, as strongly as the maker wants to see it. */
export function SketchLine({ see }: { see: See }) {
  const sketch = useCourse((s) => s.course.sketch);
  const { sketching, sketchPoint, sketchNote } = useLayOf('sketching', 'sketchPoint', 'sketchNote');
  const shown = sketching ? 1 : (sketch?.shown ?? 0.6);
  if (!sketch || shown <= 0) return null;
  return (
    <G opacity={shown}>
      {sketchLines(sketch).map(({ points, closed }, line) => {
        const pixels = points.map((p) => see(p as Vec3));
        return (
          <G key={line}>
            <Path
              d={path(pixels, closed)}
              fill="none"
              stroke={INK}
              strokeWidth={line === 0 ? 2.5 : 2}
              strokeDasharray="2 6"
              strokeLinecap="round"
            />
            {sketching === 'points' &&
              pixels.map(
                (p, index) =>
                  p && (
                    <Circle
                      key={index}
                      cx={p[0]}
                      cy={p[1]}
                      r={8}
                      fill={
                        sketchPoint?.line === line && sketchPoint.index === index ? MOSS : PAPER
                      }
                      stroke={INK}
                      strokeWidth={2}
                    />
                  ),
              )}
          </G>
        );
      })}
      {sketch.notes?.map(({ at, text }, i) => {
        const p = see(at as Vec3);
        return (
          p && (
            <G key={i}>
              <Line x1={p[0]} y1={p[1]} x2={p[0]} y2={p[1] - 26} stroke={INK} strokeWidth={1.5} />
              <Circle
                cx={p[0]}
                cy={p[1]}
                r={sketching === 'note' ? 7 : 3.5}
                fill={sketchNote === i ? MOSS : INK}
              />
              <Label at={[p[0], p[1] - 38]} words={text} />
            </G>
          )
        );
      })}
    </G>
  );
}
