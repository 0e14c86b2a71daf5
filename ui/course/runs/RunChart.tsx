import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { useRef, useState } from 'react';
import { View } from 'react-native';
import Svg, { ClipPath, Defs, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { usePointerDrag, type PointerPlace } from '../../device/usePointerDrag';
import { useColours } from '../../theme';
import type { BesideLine } from './besideLines';

/** A value at a place of the way, m. */
export interface ChartPoint {
  readonly along: number;
  readonly value: number | null;
}

/** Values along the way as one line; of the run itself in ink. */
export interface ChartCurve {
  readonly points: readonly ChartPoint[];
  readonly line?: BesideLine;
}

interface RunChartProps {
  readonly label: string;
  /** At least one; what lies under the first is filled. */
  readonly curves: readonly ChartCurve[];
  /** Length of the way, m. */
  readonly length: number;
  /** Marks along the way, m. */
  readonly marks: readonly number[];
  /** Above nothing is a loss, below it a gain: both are filled in their colours. */
  readonly signed?: boolean;
  readonly format: (value: number) => string;
  /** The place that is shown elsewhere, m. */
  readonly here?: number;
  /** A finger goes over the chart at a place of the way, m. */
  readonly onTouch?: (along: number) => void;
  readonly testID?: string;
}

const HEIGHT = 190;
const [LEFT, RIGHT, TOP, FOOT] = [44, 6, 10, 26];

/** The values a chart has room for: at least so much that a still line is no cliff. */
export function rangeOf(points: readonly ChartPoint[], signed: boolean): [number, number] {
  const values = points.flatMap(({ value }) => (value === null ? [] : [value]));
  const [low, high] = [Math.min(0, ...values), Math.max(0, ...values)];
  const least = signed ? 0.2 : 1;
  return high - low < least ? [signed ? -least / 2 : low, low + least] : [low, high];
}

const isThere = ({ value }: ChartPoint): boolean => value !== null;

/** Values along the way of a run. */
export function RunChart(props: RunChartProps) {
  const { label, curves, length, marks, signed = false, format, here, onTouch, testID } = props;
  const colours = useColours();
  const [width, setWidth] = useState(0);
  const x = scaleLinear([0, Math.max(1, length)], [LEFT, width - RIGHT]);
  const y = scaleLinear(
    rangeOf(
      curves.flatMap(({ points }) => points),
      signed,
    ),
    [HEIGHT - FOOT, TOP],
  ).nice(4);
  const across = ({ along }: ChartPoint) => x(along);
  const upward = ({ value }: ChartPoint) => y(value!);
  const curve = line(across, upward).defined(isThere);
  const filled = area(across, y(0), upward).defined(isThere);
  const shape = filled(curves[0].points as ChartPoint[]) ?? '';
  const foot = HEIGHT - FOOT;
  return (
    <View
      role="img"
      aria-label={label}
      testID={testID}
      style={{ height: HEIGHT }}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
    >
      {width > 0 && (
        <Svg width={width} height={HEIGHT}>
          {y.ticks(4).map((tick) => (
            <G key={tick}>
              <Line x1={LEFT} x2={width} y1={y(tick)} y2={y(tick)} stroke={colours.line} />
              <Label x={LEFT - 6} y={y(tick) + 4} anchor="end" words={format(tick)} />
            </G>
          ))}
          <Filled shape={shape} signed={signed} width={width} zero={y(0)} />
          {marks.map((mark) => (
            <Line
              key={mark}
              {...{ x1: x(mark), x2: x(mark), y1: TOP, y2: foot }}
              stroke={colours.heather}
              strokeDasharray="3 4"
            />
          ))}
          {here !== undefined && (
            <Line
              {...{ x1: x(here), x2: x(here), y1: TOP, y2: foot }}
              stroke={colours.moss}
              strokeWidth={2}
            />
          )}
          {/* The first lies over the others. */}
          {[...curves].reverse().map(({ points, line: look }, i) => (
            <Path
              key={i}
              d={curve(points as ChartPoint[]) ?? ''}
              stroke={look ? colours[look.ink] : colours.ink}
              strokeWidth={2}
              strokeDasharray={look?.dashes}
              fill="none"
            />
          ))}
          {x.ticks(4).map((tick, i, all) => (
            <Label
              key={tick}
              x={x(tick)}
              y={HEIGHT - 8}
              anchor={i === 0 ? 'start' : 'middle'}
              words={i === all.length - 1 ? `${tick} m` : String(tick)}
            />
          ))}
        </Svg>
      )}
      {onTouch && width > 0 && (
        <Touched onTouch={(px) => onTouch(Math.min(length, Math.max(0, x.invert(px))))} />
      )}
    </View>
  );
}

interface FilledProps {
  /** The outline between the first curve and nothing. */
  readonly shape: string;
  readonly signed: boolean;
  readonly width: number;
  /** The height in the picture at which the value is nothing. */
  readonly zero: number;
}

/** The room between the first curve and nothing; losses and gains in their own colours. */
function Filled({ shape, signed, width, zero }: FilledProps) {
  const colours = useColours();
  if (!signed) return <Path d={shape} fill={colours.line} opacity={0.5} />;
  return (
    <>
      <Defs>
        <ClipPath id="lost">
          <Rect x={0} y={0} width={width} height={zero} />
        </ClipPath>
        <ClipPath id="gained">
          <Rect x={0} y={zero} width={width} height={HEIGHT} />
        </ClipPath>
      </Defs>
      <Path d={shape} fill={colours.rustSoft} clipPath="url(#lost)" />
      <Path d={shape} fill={colours.mossSoft} clipPath="url(#gained)" />
    </>
  );
}

/** Lies over a chart that can be touched; another scrolls with its page. */
function Touched({ onTouch }: { readonly onTouch: (px: number) => void }) {
  const host = useRef<View>(null);
  const touch = ({ x }: PointerPlace) => onTouch(x);
  usePointerDrag(host, { begin: touch, move: touch });
  return <View ref={host} style={{ position: 'absolute', inset: 0 }} />;
}

interface LabelProps {
  readonly x: number;
  readonly y: number;
  readonly anchor: 'start' | 'middle' | 'end';
  readonly words: string;
}

function Label({ x, y, anchor, words }: LabelProps) {
  const colours = useColours();
  return (
    <SvgText
      x={x}
      y={y}
      textAnchor={anchor}
      fontFamily="Figures"
      fontSize={12}
      fill={colours.slate}
    >
      {words}
    </SvgText>
  );
}
