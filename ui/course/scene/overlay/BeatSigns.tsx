import { useMemo } from 'react';
import { Circle } from 'react-native-svg';
import type { Course, Tempo } from '@/core/course';
import { beatMarks, elevationProfile } from '@/core/route';
import { beatPlaces, type BeatPlace, type RunLine } from '@/core/timing';
import { useDebouncedCourse } from '../../../state/debouncedCourse';
import { DAY } from '../../../theme';
import { useMeantWay } from '../../open/useMeantWay';
import { useLastLine } from '../../runs/useRunLines';
import type { See } from './marks';

/** Most beats that are drawn. */
const MOST = 400;

/** Where the beats of a course with a tempo fall: by the pace of the last run that arrived, else by the runner's. */
export function BeatSigns({ see }: { see: See }) {
  const course = useDebouncedCourse();
  return course.tempo ? <Beats course={course} tempo={course.tempo} see={see} /> : null;
}

function Beats({ course, tempo, see }: { course: Course; tempo: Tempo; see: See }) {
  const line = useLastLine(course);
  return line ? (
    <RunBeats line={line} tempo={tempo} see={see} />
  ) : (
    <MeantBeats course={course} see={see} />
  );
}

function RunBeats({ line, tempo, see }: { line: RunLine; tempo: Tempo; see: See }) {
  const places = useMemo(() => beatPlaces(line, tempo), [line, tempo]);
  return <Dots places={places} see={see} />;
}

function MeantBeats({ course, see }: { course: Course; see: See }) {
  const meant = useMeantWay(course);
  // Found once for a course, not at every turn of the view.
  const places = useMemo((): BeatPlace[] => {
    if (meant.way.length < 2) return [];
    const { stations, length } = elevationProfile(course, meant.way);
    return beatMarks(course, length).map(({ along, bar }, beat) => {
      const { at } = stations[Math.min(stations.length - 1, Math.round(along / 0.5))];
      return { beat, bar, at };
    });
  }, [course, meant]);
  return <Dots places={places} see={see} />;
}

function Dots({ places, see }: { places: readonly BeatPlace[]; see: See }) {
  return places.slice(0, MOST).map(({ beat, bar, at: [x, y, z] }) => {
    const at = see([x, y + 0.1, z]);
    return (
      at && (
        <Circle
          key={beat}
          cx={at[0]}
          cy={at[1]}
          r={bar ? 6 : 3.5}
          fill={bar ? DAY.ink : DAY.card}
          stroke={DAY.ink}
          strokeWidth={1.5}
        />
      )
    );
  });
}
