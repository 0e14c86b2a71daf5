import { useCallback, useEffect, useMemo, useReducer, useRef } from 'react';
import { courseHash, type RunResult } from '@/core/run';
import type { Begun } from '../state/attempts';
import { attemptStep, firstAttempt, type AttemptEvent } from './attempt';
import type { Finished } from './finish/finished';
import { LiveRun, type Beginning } from './liveRun';
import type { RunProps } from './runProps';
import { nextStart, startCount } from './start/startChoice';

/** Attempts shorter than this are none, ticks. */
const LEAST_TICKS = 60;

/** How an attempt began, as it is kept. */
export function begunOf({ beginning, since }: LiveRun): Begun {
  if (beginning.kind === 'place') return { from: beginning.at };
  if (beginning.kind !== 'moment') return {};
  return { since, ...(beginning.from ? { from: beginning.from } : {}) };
}

/** Tells of each attempt once, when it is over; with what it came to, where that is known already. */
export function useEndTold(live: LiveRun, { course, onEnd }: RunProps) {
  const told = useRef<LiveRun | null>(null);
  return useCallback(
    (known?: RunResult) => {
      if (!onEnd || told.current === live || live.state.tick - live.since < LEAST_TICKS) return;
      told.current = live;
      // What was helped, or begun in a state of another edition, cannot be told again from its inputs.
      if (!live.repeatable) return;
      const result = known ?? live.result();
      const run = live.recorder.run(courseHash(course), result.time, live.seed, live.start);
      onEnd({ run, result, begun: begunOf(live) });
    },
    [live, course, onEnd],
  );
}

/** An attempt and what is done to it; the run of it is made anew with each. */
export function useAttempt({ course, beginning, seedOf, trying }: RunProps) {
  const starts = useMemo(() => startCount(course), [course]);
  const rules = {
    counted: course.countdown !== undefined,
    choice: starts > 1 && course.starts === 'choice' && beginning === undefined,
  };
  const [attempt, send] = useReducer(attemptStep(rules), rules, firstAttempt);
  const { number, start } = attempt;
  const tried = trying !== undefined;
  const live = useMemo(
    () =>
      new LiveRun(
        course,
        // From anywhere else no start is taken, and none has had its turn.
        beginning ?? ({ kind: 'start', start: nextStart(course, start) } satisfies Beginning),
        seedOf?.(number),
        tried,
      ),
    // A new attempt is a new run of the same course.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [course, beginning, number, start, tried],
  );
  return { attempt, send, live, starts };
}

/** What the run has come to, once it is over: a finish, or why there is none. */
function finishedRun(live: LiveRun, { course, best }: RunProps, result: RunResult): Finished {
  return {
    run: live.recorder.run(courseHash(course), result.time, live.seed, live.start),
    result,
    fromStart: live.beginning.kind === 'start',
    aided: live.aided,
    best,
  };
}

/** What is done once the run is over: it is told, and what it came to is shown. */
export function useFinish(
  props: RunProps,
  live: LiveRun,
  send: (event: AttemptEvent) => void,
  end: (result: RunResult) => void,
): () => void {
  const latest = useRef(props);
  useEffect(() => {
    latest.current = props;
  });
  return useCallback(() => {
    const result = live.result();
    end(result);
    const lost = live.events.some((event) => event.kind === 'lost');
    if (!result.finished) send({ do: 'ended', why: lost ? 'lost' : 'time-up' });
    else send({ do: 'done', finished: finishedRun(live, latest.current, result) });
  }, [live, end, send]);
}
