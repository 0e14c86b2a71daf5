import { View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import { useColours } from '../theme';

/** Width the bar is drawn in; it is drawn out to the room there is. */
const WIDTH = 1000;
const HEIGHT = 22;

/** The stretches of a clock in which one passes: where each begins and ends, as parts of the whole. */
export function passableSpans(passable: readonly boolean[]): [number, number][] {
  const spans: [number, number][] = [];
  passable.forEach((passes, i) => {
    if (!passes) return;
    const last = spans[spans.length - 1];
    if (last && last[1] * passable.length > i - 0.5) last[1] = (i + 1) / passable.length;
    else spans.push([i / passable.length, (i + 1) / passable.length]);
  });
  return spans;
}

interface OpeningBarProps {
  /** What it tells, in words. */
  readonly label: string;
  /** Whether one passes, arrival by arrival over a clock that comes round. */
  readonly passable: readonly boolean[];
}

/** A clock as a bar: where one passes, and at its beginning when the run came. */
export function OpeningBar({ label, passable }: OpeningBarProps) {
  const colours = useColours();
  return (
    <View role="img" aria-label={label}>
      <Svg
        width="100%"
        height={HEIGHT}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        preserveAspectRatio="none"
      >
        <Rect x={0} y={4} width={WIDTH} height={HEIGHT - 8} fill={colours.rustSoft} />
        {passableSpans(passable).map(([from, to]) => (
          <Rect
            key={from}
            x={from * WIDTH}
            y={0}
            width={(to - from) * WIDTH}
            height={HEIGHT}
            fill={colours.moss}
          />
        ))}
        <Line x1={2} x2={2} y1={0} y2={HEIGHT} stroke={colours.ink} strokeWidth={4} />
      </Svg>
    </View>
  );
}
