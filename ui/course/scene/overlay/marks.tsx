import { G, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { Vec3 } from '@/core/geometry';
import { DAY } from '../../../theme';

// Marks lie over the water and the stones, whatever the light: they keep the day's colours.
export const INK = DAY.ink;
export const MOSS = DAY.moss;
export const RUST = DAY.rust;
export const PAPER = DAY.card;

/** A place of the picture. */
export type Pixel = readonly [number, number];
/** Where a place of the course is seen, if it is. */
export type See = (p: Vec3) => Pixel | null;

/** A line through the places that are seen. */
export const path = (points: readonly (Pixel | null)[], closed = false): string => {
  const seen = points.filter((p) => p !== null);
  return seen.length < 2
    ? ''
    : `M${seen.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join('L')}${closed ? 'Z' : ''}`;
};

export function Label({
  at: [x, y],
  words,
  tint = INK,
}: {
  at: Pixel;
  words: string;
  tint?: string;
}) {
  const width = words.length * 7.6 + 16;
  return (
    <G>
      <Rect
        x={x - width / 2}
        y={y - 15}
        width={width}
        height={26}
        rx={8}
        fill={PAPER}
        stroke={tint}
      />
      <SvgText
        x={x}
        y={y + 3}
        fontSize={13}
        fontFamily="AtkinsonHyperlegibleNext_600SemiBold, sans-serif"
        fill={tint}
        textAnchor="middle"
      >
        {words}
      </SvgText>
    </G>
  );
}

/** Arrows up and down about a place, by which something is pulled. */
export const UpAndDown = ({ at: [x, y], tint }: { at: Pixel; tint: string }) => (
  <Path
    d={`M${x},${y - 15}L${x + 9},${y - 3}H${x + 4}V${y + 3}H${x + 9}L${x},${y + 15}L${x - 9},${y + 3}H${x - 4}V${y - 3}H${x - 9}Z`}
    fill={tint}
    stroke={PAPER}
    strokeWidth={2}
  />
);
