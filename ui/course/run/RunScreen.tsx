import { useMutation, useQueryClient } from '@tanstack/react-query';
import { router } from 'expo-router';
import { useEffect, useMemo } from 'react';
import { View } from 'react-native';
import type { Course, CourseKind } from '@/core/course';
import { ranksBefore, type RunFrom } from '@/core/run';
import { digestOf } from '@/core/timing';
import { Button, CannotOpen, Fault, Loading, runTime, Text } from '../../parts';
import { FinishActions } from '../../run/finish/FinishActions';
import { effortOf } from '../../run/finish/effort';
import { FinishPanel } from '../../run/finish/FinishPanel';
import type { LiveRun } from '../../run/liveRun';
import { usePales } from '../../run/pale/usePales';
import { RunView } from '../../run/RunView';
import type { Best, Finished } from '../../run/finish/finished';
import { useViewKept } from '../../scene';
import { api } from '../../state/api';
import { isWhole, keepAttempt } from '../../state/attempts';
import { useCourse } from '../../state/courseStore';
import { useFirsts } from '../../state/firsts';
import { useLastRun } from '../../state/lastRun';
import { usePausedRun } from '../../state/pausedRun';
import { useCourseOnServer } from '../../state/queries';
import { useReplay } from '../../state/useBest';
import { useOpenCourse, whenSaved } from '../../state/useOpenCourse';
import { SPACE } from '../../theme';
import { usePaleRuns } from '../runs/usePaleRuns';
import { momentOf, useTrying } from './useTrying';
import { coursePage, timesPage } from '../../device/routes';
import { KEYS } from '../../state/keys';

/** A place given as x,y,z or x,y,z,heading in the address. Undefined where it is neither. */
function placeOf(from: string | undefined): RunFrom | undefined {
  const at = from?.split(',').map(Number);
  if (!at || at.length < 3 || at.length > 4 || at.some((v) => !Number.isFinite(v)))
    return undefined;
  return [at[0], at[1], at[2], at[3]];
}

/** A run that was left on its way may be gone on with after a change. */
function keepPaused(id: string, course: Course, live: LiveRun): void {
  const { tick, finish, over } = live.state;
  const under = finish < 0 && !over && tick > live.since;
  usePausedRun.setState({
    course: id,
    moment: under ? momentOf(course, live, 0) : null,
    atOnce: false,
  });
}

/** The maker's own run of the open course. */
export function CourseRunScreen({ id, from }: { id: string; from: string | undefined }) {
  const { ready, error, retry } = useOpenCourse(id);
  const course = useCourse((s) => s.course);
  const { data } = useCourseOnServer(id);
  const best = useReplay(course, data?.proof?.run);
  const pales = usePales(course, usePaleRuns(id, course));
  const client = useQueryClient();
  const listAgain = () => client.invalidateQueries({ queryKey: KEYS.attempts(id) });
  const place = useMemo(() => placeOf(from), [from]);
  const { beginning, trying } = useTrying(id, course, ready, place);
  useViewKept();
  useEffect(() => useFirsts.getState().note('run'), []);
  const leave = () => {
    if (router.canGoBack()) router.back();
    else router.replace(coursePage(id));
  };
  if (error && !ready) return <CannotOpen what="The course" error={error} onRetry={retry} />;
  if (!ready) return <Loading what="Opening the course" />;
  if (!course.pieces.some(({ family }) => family === 'start')) {
    return (
      <Fault
        title="The course has no start"
        words="Lay a start, then run."
        action={{ label: 'Back to building', act: leave }}
      />
    );
  }
  return (
    <RunView
      course={course}
      beginning={beginning}
      trying={trying}
      best={best ?? undefined}
      pales={pales}
      leaveLabel="Back to building"
      onLeave={(live) => {
        keepPaused(id, course, live);
        leave();
      }}
      onEnd={(ended) => {
        if (isWhole(ended.begun)) useLastRun.getState().keep(ended.result);
        void keepAttempt(id, { ...ended, digest: digestOf(ended.result) }).then(listAgain);
      }}
      finished={(finished, again) => (
        <FinishPanel
          result={finished.result}
          best={finished.fromStart ? finished.best : undefined}
          targets={course.targets}
          effort={effortOf(course)}
          kind={course.kind}
        >
          <Keep id={id} kind={course.kind} finished={finished} best={finished.best} />
          <Button
            title="Times"
            icon="bar-chart-2"
            onPress={() => router.push(timesPage(id))}
            testID="open-times"
          />
          <FinishActions leaveLabel="Back to building" onAgain={again} onLeave={leave} />
        </FinishPanel>
      )}
    />
  );
}

/** Keeps a finished run as the proof; the server replays it before it believes it. */
function Keep({
  id,
  kind,
  finished,
  best,
}: {
  id: string;
  kind: CourseKind;
  finished: Finished;
  best: Best | undefined;
}) {
  const client = useQueryClient();
  const keep = useMutation({
    mutationFn: async () => {
      if (!(await whenSaved())) {
        throw new Error(
          'The course is not on the server yet, so the run waits here. Try again when the server is back.',
        );
      }
      return api.prove(id, finished.run);
    },
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: KEYS.course(id) });
      void client.invalidateQueries({ queryKey: KEYS.courses });
    },
  });
  if (finished.aided) {
    return (
      <Text as="small" tint="slate">
        Something helped this run, so it is no proof. Run without the tools for that.
      </Text>
    );
  }
  if (!finished.fromStart) {
    return (
      <Text as="small" tint="slate">
        Begun part of the way, so it is no proof. Run from the start for that.
      </Text>
    );
  }
  if (keep.data) {
    return <Text testID="run-kept">Kept as your proof: {runTime(keep.data.time)}.</Text>;
  }
  const { time, jumps } = finished.result;
  if (best && !ranksBefore(kind, { time, strokes: jumps }, { ...best, strokes: best.jumps })) {
    return (
      <Text as="small" tint="slate">
        Your kept run of {kind === 'strokes' ? `${best.jumps} strokes in ` : ''}
        {runTime(best.time)} stays the best.
      </Text>
    );
  }
  return (
    <View style={{ gap: SPACE.s }}>
      {keep.error && <Text tint="rust">{keep.error.message}</Text>}
      <Button
        kind="main"
        title="Keep this run"
        icon="check"
        busy={keep.isPending}
        onPress={() => keep.mutate()}
        testID="keep-run"
      />
    </View>
  );
}
