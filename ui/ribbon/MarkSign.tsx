import { Circle, G, Line, Path, Rect } from 'react-native-svg';
import type { Mark } from '@/core/route';
import { useColours } from '../theme';

/** A mark beside the way: each meaning has its shape as well as its colour. */
export function MarkSign({ mark, x, y, span }: { mark: Mark; x: number; y: number; span: number }) {
  const colours = useColours();
  switch (mark.kind) {
    case 'start':
    case 'checkpoint':
      return (
        <G>
          <Line x1={x} x2={x} y1={y - 16} y2={y} stroke={colours.heather} strokeWidth={2} />
          <Path d={`M${x} ${y - 17} l10 4 l-10 4 z`} fill={colours.heather} />
        </G>
      );
    case 'goal':
      return (
        <Circle
          cx={x}
          cy={y - 3}
          r={6}
          fill={colours.lichen}
          stroke={colours.heather}
          strokeWidth={2.5}
        />
      );
    case 'pickup':
      return <Circle cx={x} cy={y - 4} r={3} fill={colours.lichen} />;
    case 'hazard':
      return (
        <Rect
          x={x - Math.max(6, span) / 2}
          y={y - 8}
          width={Math.max(6, span)}
          height={7}
          fill="url(#hatch)"
        />
      );
    case 'mover':
      return (
        <Line
          x1={x - Math.max(10, span) / 2}
          x2={x + Math.max(10, span) / 2}
          y1={y - 6}
          y2={y - 6}
          stroke={colours.tide}
          strokeWidth={3}
          strokeDasharray="5 3"
        />
      );
  }
}
