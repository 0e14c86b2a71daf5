import { area, line } from 'd3-shape';
import { memo } from 'react';
import { Defs, Line, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg';
import type { beatMarks, Station } from '@/core/route';
import { useColours } from '../theme';
import { MarkSign } from './MarkSign';
import { FOOT, HEIGHT, ribbonScales, SIDE, type Profile } from './scales';

interface RibbonDrawingProps {
  readonly profile: Profile;
  readonly tide: number;
  readonly beats: ReturnType<typeof beatMarks>;
  readonly words: string;
  readonly width: number;
}

/** All of the ribbon that stays as it is while the view is moved about. */
export const RibbonDrawing = memo(function RibbonDrawing({
  profile,
  tide,
  beats,
  words,
  width,
}: RibbonDrawingProps) {
  const colours = useColours();
  const { stations, marks } = profile;
  const { x, y } = ribbonScales(profile, tide, width);
  const half = stations.length / 2;
  const top = (part: readonly Station[]) => Math.max(...part.map(({ at }) => at[1]), -Infinity);
  const risesLeft = top(stations.slice(0, half)) > top(stations.slice(half));
  const outline =
    line<Station>(
      (s) => x(s.along),
      (s) => y(s.at[1]),
    )(stations) ?? '';
  const filled =
    area<Station>(
      (s) => x(s.along),
      HEIGHT - FOOT,
      (s) => y(s.at[1]),
    )(stations) ?? '';
  return (
    <>
      <Hatch />
      <Path d={filled} fill={colours.line} opacity={0.5} />
      <Line
        x1={0}
        x2={width}
        y1={y(tide)}
        y2={y(tide)}
        stroke={colours.tide}
        strokeWidth={1.5}
        strokeDasharray="2 4"
      />
      <Path d={outline} stroke={colours.ink} strokeWidth={2} fill="none" />
      <SvgText
        // Over the lower half of the way, where it hides no mark.
        x={risesLeft ? width - SIDE : SIDE}
        y={13}
        textAnchor={risesLeft ? 'end' : 'start'}
        fontFamily="Figures"
        fontSize={11}
        fill={colours.slate}
        testID="ribbon-figures"
      >
        {words}
      </SvgText>
      {beats.map(({ along, bar }) => (
        <Line
          key={along}
          x1={x(along)}
          x2={x(along)}
          y1={HEIGHT - FOOT}
          y2={HEIGHT - FOOT - (bar ? 9 : 5)}
          stroke={colours.ink}
          strokeWidth={bar ? 2 : 1}
        />
      ))}
      {marks.map((mark) => (
        <MarkSign
          key={mark.piece}
          mark={mark}
          x={x(mark.along)}
          y={y(mark.height)}
          span={x(mark.width) - x(0)}
        />
      ))}
      <Ticks x={x} width={width} />
    </>
  );
});

/** What marks of hazards are filled with. */
function Hatch() {
  const colours = useColours();
  return (
    <Defs>
      <Pattern
        id="hatch"
        width={5}
        height={5}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <Rect width={5} height={5} fill={colours.rustSoft} />
        <Rect width={2.6} height={5} fill={colours.rust} />
      </Pattern>
    </Defs>
  );
}

/** Metres along the way. */
function Ticks({ x, width }: { x: ReturnType<typeof ribbonScales>['x']; width: number }) {
  const colours = useColours();
  return x.ticks(Math.max(2, Math.floor(width / 90))).map((tick, i, all) => (
    <SvgText
      key={tick}
      x={x(tick)}
      y={HEIGHT - 5}
      fontFamily="Figures"
      fontSize={11}
      fill={colours.slate}
      textAnchor={i === 0 ? 'start' : 'middle'}
    >
      {i === all.length - 1 ? `${tick} m` : tick}
    </SvgText>
  ));
}
