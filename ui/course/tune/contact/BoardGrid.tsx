import { G, Line } from 'react-native-svg';
import type { BoardFrame } from './boardFrame';

/** Lines every so many centimetres, and the ground. */
export function BoardGrid({
  view,
  width,
  height,
  line,
}: {
  view: BoardFrame;
  width: number;
  height: number;
  line: string;
}) {
  const step = [0.1, 0.25, 0.5, 1, 2, 5].find((s) => s * view.scale > 28) ?? 10;
  const count = (length: number) => Math.ceil(length / (step * view.scale)) + 1;
  const first = (origin: number) => origin % (step * view.scale);
  return (
    <G>
      {Array.from({ length: count(width) }, (_, i) => {
        const x = first(view.x) + i * step * view.scale;
        return (
          <Line key={`x${i}`} x1={x} x2={x} y1={0} y2={height} stroke={line} strokeWidth={1} />
        );
      })}
      {Array.from({ length: count(height) }, (_, i) => {
        const y = first(view.y) + i * step * view.scale;
        return <Line key={`y${i}`} x1={0} x2={width} y1={y} y2={y} stroke={line} strokeWidth={1} />;
      })}
      <Line x1={0} x2={width} y1={view.y} y2={view.y} stroke={line} strokeWidth={3} />
    </G>
  );
}
