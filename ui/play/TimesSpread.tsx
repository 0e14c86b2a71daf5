import { View } from 'react-native';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';
import type { PublishedCourse, TimesSpread as Spread } from '@/core/protocol';
import { runTime, Text } from '../parts';
import { SPACE, useColours } from '../theme';

const [WIDTH, HEIGHT, TOP] = [360, 92, 16];

interface TimesSpreadProps {
  readonly spread: Spread;
  readonly players: number;
  /** The viewer's own best time, s. */
  readonly own: number | undefined;
  readonly swift: number | undefined;
}

/** The part of the spread that a time lies in; null beside all of them. */
export function partOf({ from, to, counts }: Spread, time: number | undefined): number | null {
  if (time === undefined || time < from) return null;
  const width = (to - from) / counts.length;
  return Math.min(counts.length - 1, Math.floor((time - from) / width));
}

/** How the best times of all players spread, with one's own and the swift target among them. */
export function TimesSpread({ spread, players, own, swift }: TimesSpreadProps) {
  const colours = useColours();
  const { from, to, counts } = spread;
  const most = Math.max(...counts);
  const wide = WIDTH / counts.length;
  const ownPart = partOf(spread, own);
  const target = swift !== undefined && swift > from && swift < to ? swift : undefined;
  const xOf = (time: number) => ((time - from) / (to - from)) * WIDTH;
  return (
    <View style={{ gap: SPACE.xs }} testID="times-spread">
      <Text as="heading">How the times spread</Text>
      <Svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT + TOP}`}
        width="100%"
        accessibilityLabel={`Best times of ${players} players, from ${runTime(from)} to ${runTime(to)}${
          target === undefined ? '' : `, swift at ${runTime(target)}`
        }`}
      >
        {counts.map((count, i) => {
          const height = count === 0 ? 0 : Math.max(3, (count / most) * HEIGHT);
          return (
            <Rect
              key={i}
              x={i * wide + 1}
              width={wide - 2}
              y={TOP + HEIGHT - height}
              height={height}
              rx={2}
              fill={i === ownPart ? colours.moss : colours.stoneShade}
            />
          );
        })}
        <Line x1={0} x2={WIDTH} y1={TOP + HEIGHT} y2={TOP + HEIGHT} stroke={colours.ink} />
        {target !== undefined && (
          <>
            <Line
              x1={xOf(target)}
              x2={xOf(target)}
              y1={2}
              y2={TOP + HEIGHT}
              stroke={colours.ink}
              strokeDasharray="3 3"
            />
            <SvgText x={xOf(target) + 5} y={11} fontSize={11} fill={colours.ink}>
              swift
            </SvgText>
          </>
        )}
      </Svg>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
        <Text as="smallFigures">{runTime(from)}</Text>
        <Text as="small" tint="slate">
          {players} players{ownPart === null ? '' : ', yours in green'}
        </Text>
        <Text as="smallFigures">{runTime(to)}</Text>
      </View>
    </View>
  );
}

/** The viewer's own best time among those that are shown. */
export const ownTime = ({ best }: Pick<PublishedCourse, 'best'>): number | undefined =>
  best.find(({ own }) => own)?.time;
