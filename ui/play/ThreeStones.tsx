import { View } from 'react-native';
import Svg, { Circle, Line, Path, Text as SvgText } from 'react-native-svg';
import type { PublishedCourse } from '@/core/protocol';
import { runTime } from '../parts';
import { TYPE, useColours } from '../theme';

type Row = PublishedCourse['best'][number];

const [WIDTH, HEIGHT] = [360, 128];
/** The second, the first and the third from the left, each stone as high as its place is good: middle and top, pixels. */
const STONES = [
  { place: 2, x: 66, top: 60 },
  { place: 1, x: 180, top: 42 },
  { place: 3, x: 294, top: 76 },
] as const;
/** Half the width of a stone, and where the water stands. */
const [HALF, WATER] = [42, 112];

/** The first three of a course on three stones by the lantern, each with the time. */
export function ThreeStones({ best }: { readonly best: readonly Row[] }) {
  const colours = useColours();
  const rows = STONES.flatMap(({ place, ...stone }) => {
    const row = best.find((one) => one.place === place);
    return row ? [{ ...stone, row }] : [];
  });
  if (rows.length === 0) return null;
  const words = [...rows]
    .sort((a, b) => a.row.place - b.row.place)
    .map(({ row }) => `${row.place}. ${row.player}, ${measureOf(row)}`);
  return (
    <View
      role="img"
      aria-label={`The first of this course: ${words.join('; ')}`}
      testID="three-stones"
    >
      <Svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} width="100%">
        <Line x1={234} x2={234} y1={38} y2={WATER} stroke={colours.ink} strokeWidth={2} />
        <Circle cx={234} cy={34} r={5} fill={colours.heather} stroke={colours.ink} />
        {rows.map(({ x, top, row }) => (
          <Stone key={row.place} x={x} top={top} row={row} />
        ))}
        <Path
          d={`M0 ${WATER} Q 30 ${WATER - 4} 60 ${WATER} T 120 ${WATER} T 180 ${WATER} T 240 ${WATER} T 300 ${WATER} T ${WIDTH} ${WATER} V ${HEIGHT} H 0 Z`}
          fill={colours.shallows}
        />
      </Svg>
    </View>
  );
}

const measureOf = ({ time, strokes }: Row): string =>
  strokes === undefined ? runTime(time) : `${strokes} ${strokes === 1 ? 'stroke' : 'strokes'}`;

function Stone({ x, top, row }: { x: number; top: number; row: Row }) {
  const colours = useColours();
  const { place, player, own } = row;
  const [left, right] = [x - HALF, x + HALF];
  return (
    <>
      <Path
        d={`M${left + 4} ${top} L${left} ${WATER + 6} H${right} L${right - 6} ${top} Z`}
        fill={own ? colours.mossShade : colours.stoneShade}
      />
      <Path
        d={`M${left + 2} ${top} L${left + 12} ${top - 7} H${right - 10} L${right - 3} ${top} L${right - 12} ${top + 7} H${left + 10} Z`}
        fill={own ? colours.moss : colours.stone}
        stroke={colours.ink}
        strokeWidth={1.2}
        strokeLinejoin="round"
      />
      <SvgText
        {...{ x, y: top + 32, textAnchor: 'middle', fontSize: 22 }}
        fontFamily={TYPE.figures.fontFamily}
        fill={own ? colours.card : colours.ink}
      >
        {place}
      </SvgText>
      <SvgText
        {...{ x, y: top - 26, textAnchor: 'middle', fontSize: 13 }}
        fontFamily={TYPE.smallStrong.fontFamily}
        fill={colours.ink}
      >
        {player.length > 13 ? `${player.slice(0, 12)}…` : player}
      </SvgText>
      <SvgText
        {...{ x, y: top - 12, textAnchor: 'middle', fontSize: 12 }}
        fontFamily={TYPE.figures.fontFamily}
        fill={colours.slate}
      >
        {measureOf(row)}
      </SvgText>
    </>
  );
}
