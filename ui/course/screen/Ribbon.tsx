import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { memo, useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Defs, G, Line, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import {
  beatMarks,
  expectationOf,
  RUN_LEAP,
  elevationProfile,
  type Mark,
  type Station,
} from '@/core/route';
import { tideLine } from '@/core/run';
import { useView } from '../../scene';
import { useColours } from '../../theme';
import { useTune } from '../tune/tuneStore';
import { useMeantWay } from './useMeantWay';

const HEIGHT = 74;
const FOOT = 18;
/** Above the highest of the way, for a pennant there. */
const ROOM = 20;
const SIDE = 16;

interface RibbonProps {
  readonly course: Course;
  /** The way it is unrolled along; the one that is meant when there is none yet. */
  readonly way: readonly Vec3[] | null;
}

/** The course unrolled along its way: height, marks and tide; touching it moves the view there. */
export const Ribbon = memo(function Ribbon({ course, way }: RibbonProps) {
  const colours = useColours();
  const host = useRef<View>(null);
  const [width, setWidth] = useState(0);
  const meant = useMeantWay(course);
  const profile = useMemo(() => {
    if (way) return elevationProfile(course, way, RUN_LEAP);
    return elevationProfile(course, meant.closed ? [...meant.way, meant.way[0]] : meant.way);
  }, [course, way, meant]);
  const expected = useMemo(() => expectationOf(course, meant), [course, meant]);
  const beats = useMemo(() => beatMarks(course, profile.length), [course, profile.length]);
  const tide = useMemo(() => tideLine(course), [course]);
  const target = useView((s) => s.target);
  const { stations, marks, length } = profile;

  const heights = [...stations.map(({ at }) => at[1]), ...marks.map(({ height }) => height)];
  const low = Math.min(tide, ...heights) - 0.3;
  const high = Math.max(low + 5, ...heights);
  const x = scaleLinear([0, Math.max(length, 1)], [SIDE, width - SIDE]);
  const y = scaleLinear([low, high], [HEIGHT - FOOT, ROOM]);
  const here = nearest(stations, target);
  const half = stations.length / 2;
  const top = (part: readonly Station[]) => Math.max(...part.map(({ at }) => at[1]), -Infinity);
  const risesLeft = top(stations.slice(0, half)) > top(stations.slice(half));

  const go = (px: number) => {
    const along = Math.min(length, Math.max(0, x.invert(px)));
    const station = stations.reduce<Station | undefined>(
      (best, s) => (!best || Math.abs(s.along - along) < Math.abs(best.along - along) ? s : best),
      undefined,
    );
    const { frameAt, set } = useTune.getState();
    if (frameAt !== null && length > 0) set({ frameAt: along / length });
    else if (station)
      useView.getState().look({ target: [station.at[0], station.at[1] + 1, station.at[2]] });
  };
  const latest = useRef(go);
  useEffect(() => {
    latest.current = go;
  });
  useEffect(() => {
    const element = host.current as unknown as HTMLElement | null;
    if (!element) return;
    element.style.touchAction = 'none';
    const move = (event: PointerEvent) => {
      if (event.type === 'pointerdown') element.setPointerCapture(event.pointerId);
      else if (event.buttons === 0) return;
      latest.current(event.clientX - element.getBoundingClientRect().left);
    };
    element.addEventListener('pointerdown', move);
    element.addEventListener('pointermove', move);
    return () => {
      element.removeEventListener('pointerdown', move);
      element.removeEventListener('pointermove', move);
    };
  }, []);

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
    <View
      ref={host}
      testID="ribbon"
      role="slider"
      tabIndex={0}
      aria-label="The course along its way"
      aria-valuemin={0}
      aria-valuemax={Math.round(length)}
      aria-valuenow={Math.round(here?.along ?? 0)}
      aria-valuetext={`${Math.round(here?.along ?? 0)} of ${Math.round(length)} metres`}
      {...({
        onKeyDown: (event: { key: string; preventDefault: () => void }) => {
          const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
          if (by === undefined) return;
          event.preventDefault();
          go(x((here?.along ?? 0) + by * Math.max(1, length / 40)));
        },
      } as object)}
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
      style={{
        height: HEIGHT,
        borderTopWidth: 1,
        borderColor: colours.line,
        backgroundColor: colours.paper,
      }}
    >
      {width > 0 && stations.length > 0 && (
        <Svg width={width} height={HEIGHT}>
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
            {`${Math.round(way ? length : expected.length)} m, about ${Math.round(expected.time)} s`}
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
          {x.ticks(Math.max(2, Math.floor(width / 90))).map((tick, i, all) => (
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
          ))}
          {here && (
            <Line
              x1={x(here.along)}
              x2={x(here.along)}
              y1={16}
              y2={HEIGHT - FOOT}
              stroke={colours.moss}
              strokeWidth={2}
            />
          )}
        </Svg>
      )}
    </View>
  );
});

/** A mark beside the way: each meaning has its shape as well as its colour. */
function MarkSign({ mark, x, y, span }: { mark: Mark; x: number; y: number; span: number }) {
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

function nearest(stations: readonly Station[], p: Vec3): Station | undefined {
  let best: Station | undefined;
  let least = Infinity;
  for (const station of stations) {
    const gap =
      (station.at[0] - p[0]) ** 2 + (station.at[2] - p[2]) ** 2 + (station.at[1] - p[1]) ** 2 / 4;
    if (gap < least) {
      least = gap;
      best = station;
    }
  }
  return best;
}
