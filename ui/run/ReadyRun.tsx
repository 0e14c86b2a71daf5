import {
  useCallback,
  useEffect,
  useMemo,
  useReducer,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import { useWindowDimensions, View } from 'react-native';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { courseHash, FieldIndex, type Run, type RunResult } from '@/core/run';
import { Ambience } from '../music/ambience/Ambience';
import { Canvas, useGestures } from '../scene';
import { useColours, WIDE } from '../theme';
import { attemptStep, firstAttempt, isHeld, type AttemptEvent } from './attempt';
import { FlickAim } from './controls/FlickAim';
import { TouchControls } from './controls/TouchControls';
import { useControls } from './controls/useControls';
import { useFlick } from './controls/useFlick';
import type { Best, Finished } from './finish/finished';
import { CountIn } from './hud/CountIn';
import { RunHud } from './hud/RunHud';
import { LiveRun } from './liveRun';
import { PauseSheet } from './PauseSheet';
import { RUNNER_ROWS } from './runners';
import { RunMusic } from './RunMusic';
import { RunScene } from './RunScene';
import { nextStart, startCount } from './start/startChoice';
import { StartSheet } from './start/StartSheet';

export interface RunProps {
  readonly course: Course;
  /** Where to begin instead of the start. */
  readonly from?: Vec3;
  /** What splits are held against. */
  readonly best?: Best;
  /**
   * What all chance of an attempt comes from, of the first, the second and so on; always the same for the
   * same one. Left out, each makes up its own.
   */
  readonly seedOf?: (attempt: number) => number | undefined;
  /** What leaving is called. */
  readonly leaveLabel: string;
  readonly onLeave: () => void;
  readonly onProgress?: (result: RunResult) => void;
  /** An attempt is over, by whatever: the goal, an end, another attempt, leaving. */
  readonly onEnd?: (ended: EndedRun) => void;
  /** What is shown over the scene once the goal is reached. */
  readonly finished: (finished: Finished, again: () => void) => ReactNode;
}

/** An attempt that is over. */
export interface EndedRun {
  readonly run: Run;
  readonly result: RunResult;
  readonly fromStart: boolean;
}

/** Attempts shorter than this are none, ticks. */
const LEAST_TICKS = 60;

/** Tells of each attempt once, when it is over; with what it came to, where that is known already. */
function useEndTold(live: LiveRun, { course, from, onEnd }: RunProps) {
  const told = useRef<LiveRun | null>(null);
  return useCallback(
    (known?: RunResult) => {
      if (!onEnd || told.current === live || live.state.tick < LEAST_TICKS) return;
      told.current = live;
      const result = known ?? live.result();
      const run = live.recorder.run(courseHash(course), result.time, live.seed, live.start);
      onEnd({ run, result, fromStart: from === undefined });
    },
    [live, course, from, onEnd],
  );
}

/** An attempt and what is done to it; the run of it is made anew with each. */
function useAttempt({ course, from, seedOf }: RunProps) {
  const starts = useMemo(() => startCount(course), [course]);
  const rules = {
    counted: course.countdown !== undefined,
    choice: starts > 1 && course.starts === 'choice' && from === undefined,
  };
  const [attempt, send] = useReducer(attemptStep(rules), rules, firstAttempt);
  const { number, start } = attempt;
  const live = useMemo(
    () =>
      new LiveRun(
        course,
        from,
        seedOf?.(number),
        // From the spot in view no start is taken, and none has had its turn.
        from === undefined ? nextStart(course, start) : 0,
      ),
    // A new attempt is a new run of the same course.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [course, from, number, start],
  );
  return { attempt, send, live, starts };
}

/** What the run has come to, once it is over: a finish, or why there is none. */
function finishedRun(live: LiveRun, { course, from, best }: RunProps, result: RunResult): Finished {
  return {
    run: live.recorder.run(courseHash(course), result.time, live.seed, live.start),
    result,
    fromStart: from === undefined,
    best,
  };
}

/** What is done once the run is over: it is told, and what it came to is shown. */
function useFinish(
  props: RunProps,
  live: LiveRun,
  send: (event: AttemptEvent) => void,
  end: (result: RunResult) => void,
): () => void {
  const { onProgress } = props;
  const latest = useRef(props);
  useEffect(() => {
    latest.current = props;
  });
  return useCallback(() => {
    const result = live.result();
    onProgress?.(result);
    end(result);
    const lost = live.events.some((event) => event.kind === 'lost');
    if (!result.finished) send({ do: 'ended', why: lost ? 'lost' : 'time-up' });
    else send({ do: 'done', finished: finishedRun(live, latest.current, result) });
  }, [live, onProgress, end, send]);
}

/** The scene, the clock, the controls, and what follows the goal. */
export function ReadyRun(props: RunProps) {
  const { course, best, finished } = props;
  const colours = useColours();
  const { width } = useWindowDimensions();
  const { attempt, send, live, starts } = useAttempt(props);
  const end = useEndTold(live, props);
  const [shapes, setShapes] = useState(false);
  const sideOn = course.space === 'side-on';
  const held = isHeld(attempt);
  const again = useCallback(() => {
    end();
    send({ do: 'again' });
  }, [end, send]);
  const commands = useRef({ pause: () => send({ do: 'toggle-pause' }), restart: again });
  useEffect(() => {
    commands.current.restart = again;
  }, [again]);
  const { kind } = course.runner;
  const worked = RUNNER_ROWS[kind].controls.kind;
  const controls = useControls(kind, sideOn, (input, at) => live.tell(input, at), commands);
  const flick = useFlick(live, worked === 'strokes' && !held);
  const host = useRef<View>(null);
  const still = useMemo(() => ({ begin: () => sideOn || worked === 'pedals' }), [sideOn, worked]);
  useGestures(host, worked === 'strokes' ? flick.tool : still);

  const finish = useFinish(props, live, send, end);
  const touch = width < WIDE || navigator.maxTouchPoints > 0;
  return (
    <View style={{ flex: 1, backgroundColor: colours.sky, overflow: 'hidden' }}>
      <View ref={host} style={{ position: 'absolute', inset: 0 }}>
        <Canvas running={!held}>
          <RunScene
            course={course}
            live={live}
            held={held}
            controls={controls}
            shapes={shapes}
            onFinish={finish}
          />
        </Canvas>
      </View>
      {worked === 'strokes' && !held && (
        <FlickAim live={live} aim={flick.aim} ready={flick.ready()} />
      )}
      <RunMusic live={live} course={course} held={held} />
      <HeardThere live={live} course={course} />
      <RunHud
        live={live}
        course={course}
        best={best}
        held={held}
        onPause={() => send({ do: 'pause' })}
      />
      <View pointerEvents="box-none" style={{ flex: 1, justifyContent: 'flex-end' }}>
        {/* They stay, unseen, under what follows the goal: a finger still held there belongs to them. */}
        {touch && worked !== 'strokes' && (
          <TouchControls kind={kind} controls={controls} sideOn={sideOn} hidden={held} />
        )}
      </View>
      {attempt.done && finished(attempt.done, again)}
      <RunSheets
        {...props}
        attempt={attempt}
        send={send}
        live={live}
        starts={starts}
        shapes={shapes}
        onShapes={setShapes}
        onAgain={again}
        end={end}
      />
    </View>
  );
}

/** The sound of the course about the runner. */
function HeardThere({ live, course }: { live: LiveRun; course: Course }) {
  const at = useCallback((): Vec3 => [live.state.x, live.state.y, live.state.z], [live]);
  const isQuiet = useCallback(() => live.state.field[FieldIndex.quiet] > 0, [live]);
  return <Ambience course={course} listener={at} quiet={isQuiet} />;
}

interface RunSheetsProps extends RunProps, ReturnType<typeof useAttempt> {
  readonly shapes: boolean;
  readonly onShapes: (shown: boolean) => void;
  readonly onAgain: () => void;
  /** Tells that the attempt is over. */
  readonly end: (result: RunResult) => void;
}

/** What comes up before a run, in a pause, and at an end without the goal. */
function RunSheets(props: RunSheetsProps) {
  const { course, attempt, send, live, starts, onProgress, onLeave, end } = props;
  const { choosing, counting, paused, ended, done } = attempt;
  const leave = () => {
    const result = live.result();
    onProgress?.(result);
    end(result);
    onLeave();
  };
  return (
    <>
      {counting && !paused && !choosing && (
        <CountIn
          key={attempt.number}
          seconds={course.countdown ?? 0}
          onGo={() => send({ do: 'counted' })}
        />
      )}
      <StartSheet
        open={choosing}
        count={starts}
        chosen={attempt.start}
        onChoose={(start) => send({ do: 'start', start })}
        // Before the first attempt there is none to begin again.
        onGo={() => send({ do: 'begin', begun: live.state.tick > 0 })}
        onLeave={leave}
      />
      <PauseSheet
        open={(paused || !!ended) && !done}
        ended={ended}
        shapes={props.shapes}
        onShapes={props.onShapes}
        leaveLabel={props.leaveLabel}
        onGoOn={() => send({ do: 'go-on' })}
        onAgain={props.onAgain}
        onStarts={
          starts > 1 && course.starts === 'choice' ? () => send({ do: 'ask-start' }) : undefined
        }
        onLeave={leave}
      />
    </>
  );
}
