import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { useQuery } from '@tanstack/react-query';
import { useFrame } from '@react-three/fiber';
import { useFonts } from 'expo-font';
import type { Course } from '@/core/course';

import type { Vec3 } from '@/core/geometry';
import {
  courseHash,
  FieldIndex,
  groundHeight,
  isLoaded,
  dynamicPieces,
  loadPhysics,
  runPosing,
  tideOf,
  type RunResult,
} from '@/core/run';
import {
  BoardTexts,
  Canvas,
  ContactShapes,
  MovingPieces,
  restingMoment,
  Runner,
  StillPieces,
  GroundPaint,
  Surroundings,
  ThrownCopies,
  useGestures,
  type FrameState,
  type Shown,
} from '../scene';
import { Ambience } from '../music/ambience/Ambience';
import { Fault, Loading } from '../parts';
import { RUN_FONTS, useColours, WIDE } from '../theme';
import { CountIn } from './hud/CountIn';
import { FlickAim } from './controls/FlickAim';
import type { Best, Finished } from './finish/finished';
import { follow } from './follow';
import { LiveRun } from './liveRun';
import { PauseSheet, type Ended } from './PauseSheet';
import { RunHud } from './hud/RunHud';
import { RunMusic } from './RunMusic';
import { nextStart, startCount } from './start/startChoice';
import { StartSheet } from './start/StartSheet';
import { RUNNER_ROWS } from './runners';
import { TouchControls } from './controls/TouchControls';
import { useControls } from './controls/useControls';
import { useFlick } from './controls/useFlick';

interface RunViewProps {
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
  /** What is shown over the scene once the goal is reached. */
  readonly finished: (finished: Finished, again: () => void) => ReactNode;
}

/** A run, once all that it is played by is there. */
export function RunView(props: RunViewProps) {
  useFonts(RUN_FONTS);
  const { course } = props;
  const needed = !isLoaded(course);
  const { error, refetch, isFetching } = useQuery({
    queryKey: ['physics'],
    queryFn: () => loadPhysics(course).then(() => true),
    enabled: needed,
    retry: false,
  });
  if (!needed) return <ReadyRun {...props} />;
  if (error && !isFetching) {
    return (
      <Fault
        title="The run cannot begin"
        words="What moves its loose pieces could not be loaded."
        action={{ label: 'Try again', act: () => void refetch() }}
      />
    );
  }
  return <Loading what="Weighing the loose pieces" />;
}

/** The scene, the clock, the controls, and what follows the goal. */
function ReadyRun(props: RunViewProps) {
  const { course, from, best, seedOf, leaveLabel, onLeave, onProgress, finished } = props;
  const colours = useColours();
  const { width } = useWindowDimensions();
  const sideOn = course.space === 'side-on';
  const [attempt, setAttempt] = useState(0);
  const [paused, setPaused] = useState(false);
  const [done, setDone] = useState<Finished | null>(null);
  const [ended, setEnded] = useState<Ended | null>(null);
  const [shapes, setShapes] = useState(false);
  // A course may be counted in; each attempt anew.
  const [counting, setCounting] = useState(course.countdown !== undefined);
  const starts = useMemo(() => startCount(course), [course]);
  const [start, setStart] = useState(0);
  // Where to begin may be the player's to say, once before the first attempt and then in a pause.
  const [choosing, setChoosing] = useState(
    starts > 1 && course.starts === 'choice' && from === undefined,
  );
  const live = useMemo(
    () =>
      new LiveRun(
        course,
        from,
        seedOf?.(attempt),
        // From the spot in view no start is taken, and none has had its turn.
        from === undefined ? nextStart(course, start) : 0,
      ),
    // A new attempt is a new run of the same course.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [course, from, attempt, start],
  );

  const leave = useCallback(() => {
    onProgress?.(live.result());
    onLeave();
  }, [live, onLeave, onProgress]);
  const again = useCallback(() => {
    setDone(null);
    setEnded(null);
    setPaused(false);
    setCounting(course.countdown !== undefined);
    setAttempt((n) => n + 1);
  }, [course.countdown]);
  const commands = useRef({ pause: () => {}, restart: () => {} });
  useEffect(() => {
    commands.current = { pause: () => !done && setPaused((p) => !p), restart: again };
  }, [again, done]);

  const { kind } = course.runner;
  const worked = RUNNER_ROWS[kind].controls.kind;
  const controls = useControls(kind, sideOn, (input, at) => live.tell(input, at), commands);
  const held = paused || choosing || counting || !!ended || !!done;
  const flick = useFlick(live, worked === 'strokes' && !held);
  const host = useRef<View>(null);
  const still = useMemo(() => ({ begin: () => sideOn || worked === 'pedals' }), [sideOn, worked]);
  useGestures(host, worked === 'strokes' ? flick.tool : still);

  const finish = useCallback(() => {
    const result = live.result();
    onProgress?.(result);
    if (!result.finished) {
      const lost = live.events.some((event) => event.kind === 'lost');
      setEnded(lost ? 'lost' : 'time-up');
      return;
    }
    setDone({
      run: live.recorder.run(courseHash(course), result.time, live.seed, live.start),
      result,
      fromStart: from === undefined,
      best,
    });
  }, [best, course, from, live, onProgress]);

  const runnerAt = useCallback((): Vec3 => [live.state.x, live.state.y, live.state.z], [live]);
  const isQuiet = useCallback(() => live.state.field[FieldIndex.quiet] > 0, [live]);
  const touch = width < WIDE || navigator.maxTouchPoints > 0;
  return (
    <View style={{ flex: 1, backgroundColor: colours.sky, overflow: 'hidden' }}>
      <View ref={host} style={{ position: 'absolute', inset: 0 }}>
        <Canvas running={!held}>
          <Scene
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
      <Ambience course={course} listener={runnerAt} quiet={isQuiet} />
      <RunHud live={live} course={course} best={best} held={held} onPause={() => setPaused(true)} />
      <View pointerEvents="box-none" style={{ flex: 1, justifyContent: 'flex-end' }}>
        {/* They stay, unseen, under what follows the goal: a finger still held there belongs to them. */}
        {touch && worked !== 'strokes' && (
          <TouchControls kind={kind} controls={controls} sideOn={sideOn} hidden={held} />
        )}
      </View>
      {done && finished(done, again)}
      {counting && !paused && !choosing && (
        <CountIn key={attempt} seconds={course.countdown ?? 0} onGo={() => setCounting(false)} />
      )}
      <StartSheet
        open={choosing}
        count={starts}
        chosen={start}
        onChoose={setStart}
        onGo={() => {
          setChoosing(false);
          // Before the first attempt there is none to begin again.
          if (live.state.tick > 0) again();
        }}
        onLeave={leave}
      />
      <PauseSheet
        open={(paused || !!ended) && !done}
        ended={ended}
        shapes={shapes}
        onShapes={setShapes}
        leaveLabel={leaveLabel}
        onGoOn={() => setPaused(false)}
        onAgain={again}
        onStarts={starts > 1 && course.starts === 'choice' ? () => setChoosing(true) : undefined}
        onLeave={leave}
      />
    </View>
  );
}

interface SceneProps {
  readonly course: Course;
  readonly live: LiveRun;
  readonly held: boolean;
  readonly controls: ReturnType<typeof useControls>;
  /** Whether collision shapes are shown over the pictures. */
  readonly shapes: boolean;
  readonly onFinish: () => void;
}

/** The scene of a run; its frames only show where the ticks have got to. */
function Scene({ course, live, held, controls, shapes, onFinish }: SceneProps) {
  const moment = useRef<FrameState>(restingMoment(true));
  const lively = useMemo(() => dynamicPieces(course), [course]);
  const still = useMemo(
    () => course.pieces.filter(({ id }) => !lively.has(id)),
    [course.pieces, lively],
  );
  const shown = useRef<Shown>({ state: live.state, body: live.world.bodies[0], way: 0, floor: 0 });
  const level = useRef(live.world.tide);
  const before = useRef({ x: 0, z: 0 });
  const told = useRef(false);
  const placed = useRef(0);
  useEffect(() => {
    told.current = false;
    placed.current = live.placed;
    Object.assign(shown.current, { state: live.state, way: 0 });
    moment.current.posing = runPosing(live.world, live.state);
    follow(live, course, 0, true);
  }, [live, course]);
  useEffect(() => {
    if (held) live.hold();
  }, [held, live]);

  useFrame((_, delta) => {
    if (!held) {
      const now = controls.current();
      // Where the eye turns, a pad that is held still means another way.
      if (now && course.space === 'free') live.tell(now, performance.now());
      live.advance(performance.now());
    }
    const { state, world } = live;
    const at = shown.current;
    at.way += Math.hypot(state.x - before.current.x, state.z - before.current.z);
    before.current = { x: state.x, z: state.z };
    at.body = world.bodies[state.size];
    at.floor = groundHeight(world, state);
    level.current = tideOf(state);
    moment.current.tick = state.tick;
    moment.current.gone = live.gone();
    // Put somewhere else, the runner is looked at anew, the way it faces there.
    follow(live, course, delta, live.placed !== placed.current);
    placed.current = live.placed;
    if ((state.finish >= 0 || state.over) && !told.current) {
      told.current = true;
      onFinish();
    }
  }, -2);

  return (
    <>
      <Surroundings tide={live.world.tide} sky={course.sky} level={level} />
      <GroundPaint course={course} />
      <StillPieces pieces={still} tide={live.world.tide} />
      <MovingPieces pieces={course.pieces} lively={lively} moment={moment} />
      <ThrownCopies world={live.world} state={live.state} />
      <BoardTexts pieces={course.pieces} />
      {shapes && <ContactShapes course={course} pieces={course.pieces} moment={moment} />}
      <Runner kind={course.runner.kind} shown={shown} />
    </>
  );
}
