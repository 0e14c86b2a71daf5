import { memo, useMemo, useState } from 'react';
import Svg, { Line, Path } from 'react-native-svg';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { beatMarks, elevationProfile, expectationOf, RUN_LEAP, type Station } from '@/core/route';
import { tideLine } from '@/core/run';
import {
  FOOT,
  HEIGHT,
  nearest,
  RibbonDrawing,
  ribbonScales,
  RibbonSlider,
  type RibbonSliderProps,
  stationAt,
} from '../../../ribbon';
import { useView } from '../../../scene';
import { useColours } from '../../../theme';
import { useTune } from '../../open/tuneStore';
import { useWays } from '../../open/way/wayStore';
import { useMeantWay } from '../../open/useMeantWay';
import { useOwnProof } from '../../open/useOwnProof';
import { extentWords } from './extentWords';
import { Tried } from './Tried';

interface RibbonProps {
  readonly course: Course;
  /** The way it is unrolled along; the one that is meant when there is none yet. */
  readonly way: readonly Vec3[] | null;
}

/** The course unrolled along its way: height, marks and tide; touching it moves the view there. */
export const Ribbon = memo(function Ribbon({ course, way }: RibbonProps) {
  const [width, setWidth] = useState(0);
  const meant = useMeantWay(course);
  const profile = useMemo(() => {
    if (way) return elevationProfile(course, way, RUN_LEAP);
    return elevationProfile(course, meant.closed ? [...meant.way, meant.way[0]] : meant.way);
  }, [course, way, meant]);
  const expected = useMemo(() => expectationOf(course, meant), [course, meant]);
  const beats = useMemo(() => beatMarks(course, profile.length), [course, profile.length]);
  const tide = useMemo(() => tideLine(course), [course]);
  const { x } = useMemo(() => ribbonScales(profile, tide, width), [profile, tide, width]);
  const { stations, length } = profile;

  const go = (along: number) => {
    const within = Math.min(length, Math.max(0, along));
    const { frameAt, set } = useTune.getState();
    const station = stationAt(stations, within);
    if (frameAt !== null && length > 0) set({ frameAt: within / length });
    else if (station) {
      const [sx, sy, sz] = station.at;
      useView.getState().look({ target: [sx, sy + 1, sz] });
    }
  };
  const { finished, fresh } = useOwnProof(course);
  const words = extentWords(course.kind, expected, fresh ? finished : undefined);
  return (
    <AtView
      stations={stations}
      length={length}
      onGo={go}
      onTouch={(px) => go(x.invert(px))}
      onWidth={setWidth}
    >
      {width > 0 && stations.length > 0 && (
        <Svg width={width} height={HEIGHT}>
          <RibbonDrawing profile={profile} tide={tide} beats={beats} words={words} width={width} />
          <Tried stations={stations} length={length} x={x} />
          <WayEnds stations={stations} x={x} />
          <Here stations={stations} x={x} />
        </Svg>
      )}
    </AtView>
  );
});

/** Where on the way runs that once led through come to an end. */
function WayEnds({ stations, x }: { stations: readonly Station[]; x: (along: number) => number }) {
  const colours = useColours();
  const said = useWays((s) => s.said);
  return said.map(({ key, verdict }) => {
    const along = verdict.kind === 'ends' ? nearest(stations, verdict.at)?.along : undefined;
    if (along === undefined) return null;
    const d = `M${x(along) - 5} 8 l10 10 m0 -10 l-10 10 M${x(along)} 20 V${HEIGHT - FOOT}`;
    return <Path key={key} d={d} stroke={colours.rust} strokeWidth={2.5} strokeLinecap="round" />;
  });
}

/** Where on the way the view is: all that moves while it is panned. */
function Here({ stations, x }: { stations: readonly Station[]; x: (along: number) => number }) {
  const colours = useColours();
  const here = useView((s) => nearest(stations, s.target)?.along);
  if (here === undefined) return null;
  return (
    <Line
      x1={x(here)}
      x2={x(here)}
      y1={16}
      y2={HEIGHT - FOOT}
      stroke={colours.moss}
      strokeWidth={2}
    />
  );
}

/** Where the view is, told to what is touched: what it holds need not know. */
function AtView({
  stations,
  ...rest
}: { stations: readonly Station[] } & Omit<RibbonSliderProps, 'at' | 'label'>) {
  const at = useView((s) => nearest(stations, s.target)?.along ?? 0);
  return <RibbonSlider {...rest} at={at} label="The course along its way" />;
}
