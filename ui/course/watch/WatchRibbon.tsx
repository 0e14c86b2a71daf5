import { useMemo, useState } from 'react';
import Svg, { Line } from 'react-native-svg';
import type { Course } from '@/core/course';
import { beatMarks, elevationProfile, RUN_LEAP } from '@/core/route';
import { tideLine } from '@/core/run';
import type { RunLine } from '@/core/timing';
import { lineWay } from '../../run/watch/lineWay';
import type { UseWatchClock } from '../../run/watch/watchClock';
import { useColours } from '../../theme';
import { FOOT, HEIGHT, RibbonDrawing, ribbonScales, RibbonSlider } from '../../ribbon';

interface WatchRibbonProps {
  readonly course: Course;
  readonly line: RunLine;
  readonly clock: UseWatchClock;
}

/** The course along the way of the run that is watched: touching it goes to when the run was there. */
export function WatchRibbon({ course, line, clock }: WatchRibbonProps) {
  const [width, setWidth] = useState(0);
  const run = useMemo(() => lineWay(line), [line]);
  const profile = useMemo(() => elevationProfile(course, run.way, RUN_LEAP), [course, run]);
  const beats = useMemo(() => beatMarks(course, profile.length), [course, profile.length]);
  const tide = useMemo(() => tideLine(course), [course]);
  const { x } = useMemo(() => ribbonScales(profile, tide, width), [profile, tide, width]);
  const at = clock(({ tick }) => run.alongAt(tick));
  const go = (along: number) => clock.getState().seek(run.tickAt(along));
  // All but where it is stays as it is while the run plays.
  const drawing = useMemo(
    () => (
      <RibbonDrawing
        profile={profile}
        tide={tide}
        beats={beats}
        words={`${Math.round(profile.length)} m`}
        width={width}
      />
    ),
    [profile, tide, beats, width],
  );
  return (
    <RibbonSlider
      label="The run along its way"
      at={at}
      length={profile.length}
      onGo={go}
      onTouch={(px) => go(x.invert(px))}
      onWidth={setWidth}
    >
      {width > 0 && profile.stations.length > 0 && (
        <Svg width={width} height={HEIGHT}>
          {drawing}
          <NowAt px={x(at)} />
        </Svg>
      )}
    </RibbonSlider>
  );
}

function NowAt({ px }: { px: number }) {
  const colours = useColours();
  return <Line x1={px} x2={px} y1={16} y2={HEIGHT - FOOT} stroke={colours.moss} strokeWidth={2} />;
}
