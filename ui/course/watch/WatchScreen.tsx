import { useQuery } from '@tanstack/react-query';
import { useFonts } from 'expo-font';
import { router } from 'expo-router';
import { useMemo } from 'react';
import type { Course } from '@/core/course';
import { TICKS_PER_SECOND } from '@/core/motion';
import { Film, loadPhysics } from '@/core/run';
import { CannotOpen, Fault, Loading } from '../../parts';
import { watchClock } from '../../run/watch/watchClock';
import { useViewKept } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useOpenCourse } from '../../state/useOpenCourse';
import { RUN_FONTS } from '../../theme';
import type { KnownRun } from '../runs/runsKnown';
import { useKnownRuns } from '../runs/useKnownRuns';
import { Watching } from './Watching';
import { timesPage } from '../../device/routes';

interface WatchScreenProps {
  readonly id: string;
  /** Which run. */
  readonly run: string;
  /** Where in it to begin, s. */
  readonly at: number;
}

/** A run of the open course, played again. */
export function WatchScreen({ id, run: key, at }: WatchScreenProps) {
  useFonts(RUN_FONTS);
  const { ready, error, retry } = useOpenCourse(id);
  const course = useCourse((s) => s.course);
  const known = useKnownRuns(id, course);
  useViewKept();
  if (error && !ready) return <CannotOpen what="The course" error={error} onRetry={retry} />;
  if (!ready || !known.runs) return <Loading what="Looking for the run" />;
  const shown = known.find(key);
  if (!shown) {
    return (
      <Fault
        title="There is no such run"
        words="It was of another version of the course, or is kept on another device."
        action={{
          label: 'To the times',
          act: () => router.replace(timesPage(id)),
        }}
      />
    );
  }
  return <Filmed key={shown.key} id={id} course={course} shown={shown} at={at} />;
}

interface FilmedProps {
  readonly id: string;
  readonly course: Course;
  readonly shown: KnownRun;
  readonly at: number;
}

/** Makes the run ready to be looked at, once what moves loose pieces is there. */
function Filmed({ id, course, shown, at }: FilmedProps) {
  const { data: physics, error } = useQuery({
    queryKey: ['physics', course.pieces.some(({ loose }) => loose)],
    queryFn: () => loadPhysics(course).then(() => true),
    retry: false,
  });
  const film = useMemo(() => {
    if (!physics) return null;
    try {
      return new Film(course, shown.run, shown.from);
    } catch (problem) {
      return problem as Error;
    }
  }, [physics, course, shown]);
  const clock = useMemo(
    () => (film instanceof Film ? watchClock(film.ticks, at * TICKS_PER_SECOND) : null),
    // Where it was opened is only where it begins.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [film],
  );
  const problem = film instanceof Error ? film : error;
  if (problem) {
    return (
      <Fault
        title="The run cannot be played again"
        words={problem.message}
        action={{ label: 'Back', act: () => router.back() }}
      />
    );
  }
  if (!(film instanceof Film) || !clock) return <Loading what="Winding the run back" />;
  return <Watching id={id} course={course} shown={shown} film={film} clock={clock} />;
}
