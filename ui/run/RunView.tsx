import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { useFrame } from '@react-three/fiber';
import type { Course } from '@/core/course';
import { courseHash } from '@/core/course';
import { floorBelow, goneFrom, type Run, type RunResult, type Spot, type Split } from '@/core/run';
import {
  axes,
  Canvas,
  BoardTexts,
  MovingPieces,
  Runner,
  StillPieces,
  Surroundings,
  useGestures,
  useView,
  type Moment,
  type Shown,
} from '../scene';
import { useColours, WIDE } from '../theme';
import { LiveRun } from './liveRun';
import { PauseSheet } from './PauseSheet';
import { RunHud } from './RunHud';
import { TouchControls } from './TouchControls';
import { useControls } from './useControls';

/** A finished run, ready to be kept or sent. */
export interface Finished {
  readonly run: Run;
  readonly result: RunResult;
  /** Whether it began at the course's start, as a proof or a sent run must. */
  readonly fromStart: boolean;
  /** The best there was before it. */
  readonly best?: Best;
}

/** What a run is held against. */
export interface Best {
  readonly time: number;
  readonly splits: readonly Split[];
}

interface RunViewProps {
  readonly course: Course;
  /** Where to begin instead of the start. */
  readonly spot?: Spot;
  /** What splits are held against. */
  readonly best?: Best;
  /** What leaving is called. */
  readonly leaveLabel: string;
  readonly onLeave: () => void;
  readonly onProgress?: (result: RunResult) => void;
  /** What is shown over the scene once the goal is reached. */
  readonly finished: (finished: Finished, again: () => void) => ReactNode;
}

/** A run: the scene, the clock, the controls, and what follows the goal. */
export function RunView({
  course,
  spot,
  best,
  leaveLabel,
  onLeave,
  onProgress,
  finished,
}: RunViewProps) {
  const colours = useColours();
  const { width } = useWindowDimensions();
  const sideOn = course.space === 'side-on';
  const [attempt, setAttempt] = useState(0);
  const [paused, setPaused] = useState(false);
  const [done, setDone] = useState<Finished | null>(null);
  // A new attempt is a new run of the same course.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const live = useMemo(() => new LiveRun(course, spot), [course, spot, attempt]);

  const leave = useCallback(() => {
    onProgress?.(live.result());
    onLeave();
  }, [live, onLeave, onProgress]);
  const again = useCallback(() => {
    setDone(null);
    setPaused(false);
    setAttempt((n) => n + 1);
  }, []);
  const commands = useRef({ pause: () => {}, restart: () => {} });
  useEffect(() => {
    commands.current = { pause: () => !done && setPaused((p) => !p), restart: again };
  }, [again, done]);

  const controls = useControls(sideOn, (input, at) => live.tell(input, at), commands);
  const host = useRef<View>(null);
  const tool = useMemo(() => ({ begin: () => sideOn }), [sideOn]);
  useGestures(host, tool);

  const finish = useCallback(() => {
    const result = live.result();
    onProgress?.(result);
    setDone({
      run: live.recorder.run(courseHash(course), result.time),
      result,
      fromStart: spot === undefined,
      best,
    });
  }, [best, course, live, onProgress, spot]);

  const touch = width < WIDE || navigator.maxTouchPoints > 0;
  return (
    <View style={{ flex: 1, backgroundColor: colours.sky, overflow: 'hidden' }}>
      <View ref={host} style={{ position: 'absolute', inset: 0 }}>
        <Canvas running={!paused && !done}>
          <Scene
            course={course}
            live={live}
            held={paused || !!done}
            controls={controls}
            onFinish={finish}
          />
        </Canvas>
      </View>
      <RunHud live={live} best={best} held={paused || !!done} onPause={() => setPaused(true)} />
      <View pointerEvents="box-none" style={{ flex: 1, justifyContent: 'flex-end' }}>
        {/* They stay, unseen, under what follows the goal: a finger still held there belongs to them. */}
        {touch && <TouchControls controls={controls} sideOn={sideOn} hidden={paused || !!done} />}
      </View>
      {done && finished(done, again)}
      <PauseSheet
        open={paused && !done}
        leaveLabel={leaveLabel}
        onGoOn={() => setPaused(false)}
        onAgain={again}
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
  readonly onFinish: () => void;
}

/** The scene of a run; its frames only show where the ticks have got to. */
function Scene({ course, live, held, controls, onFinish }: SceneProps) {
  const moment = useRef<Moment>({ tick: 0, gathered: new Set(), lively: true });
  const shown = useRef<Shown>({ x: 0, y: 0, z: 0, heading: 0, grounded: true, way: 0, floor: 0 });
  const before = useRef({ x: 0, y: 0, z: 0 });
  const told = useRef(false);
  useEffect(() => {
    told.current = false;
    shown.current.way = 0;
    follow(live, course, 0, true);
  }, [live, course]);
  useEffect(() => {
    if (held) live.hold();
  }, [held, live]);

  useFrame((_, delta) => {
    if (!held) {
      if (course.space === 'free') live.tell(controls.current(), performance.now());
      live.advance(performance.now());
    }
    const { state, world } = live;
    const last = before.current;
    const at = shown.current;
    at.way += Math.hypot(state.x - last.x, state.z - last.z);
    before.current = { x: state.x, y: state.y, z: state.z };
    Object.assign(at, { x: state.x, y: state.y, z: state.z, heading: state.heading });
    at.grounded = state.ground >= 0;
    at.floor = floorBelow(world, state);
    moment.current.tick = state.tick;
    const gone = goneFrom(world, state);
    if (moment.current.gathered.size !== gone.size || gone.size > 0) moment.current.gathered = gone;
    follow(live, course, delta, false);
    if (state.finish >= 0 && !told.current) {
      told.current = true;
      onFinish();
    }
  }, -2);

  return (
    <>
      <Surroundings tide={live.world.tide} sky={course.sky} />
      <StillPieces pieces={course.pieces} tide={live.world.tide} />
      <MovingPieces pieces={course.pieces} moment={moment} />
      <BoardTexts pieces={course.pieces} />
      <Runner shown={shown} />
    </>
  );
}

/** How far ahead of a free-roaming runner the eye looks, m. */
const AHEAD = 3;

/** Keeps the eye on the runner with more of what comes than of what was. */
function follow(live: LiveRun, course: Course, delta: number, atOnce: boolean): void {
  const view = useView.getState();
  const { state } = live;
  const tall = view.height > view.width;
  const ease = atOnce ? 1 : 1 - Math.exp(-delta * 5);
  if (course.space === 'side-on') {
    const distance = tall ? 34 : 22;
    const reach = distance * 0.5735 * (view.width / view.height);
    const lead = (state.heading === 180 ? -1 : 1) * reach * 0.27;
    const [x, y] = [state.x + lead, state.y + (tall ? 0.2 : 1.4)];
    view.look({
      mode: 'side',
      yaw: 0,
      pitch: 7,
      distance,
      target: [
        view.target[0] + (x - view.target[0]) * (atOnce ? 1 : Math.min(1, ease * 1.6)),
        view.target[1] + (y - view.target[1]) * ease,
        state.z,
      ],
    });
    return;
  }
  // Heading 0 is along x; the eye behind it looks along x too, which is a yaw of 90.
  const turn = ((90 - state.heading - view.yaw + 540) % 360) - 180;
  const { ahead } = axes({ yaw: view.yaw, pitch: 0 });
  const moving = Math.hypot(state.vx, state.vz) > 0.5;
  view.look({
    mode: 'free',
    yaw: atOnce
      ? 90 - state.heading
      : view.yaw + (moving ? turn * (1 - Math.exp(-delta * 0.8)) : 0),
    pitch: atOnce ? 21 : view.pitch,
    distance: tall ? 19 : 13,
    // A little ahead of the runner, so that more is seen of what comes.
    target: [
      state.x + ahead[0] * AHEAD,
      view.target[1] + (state.y + 0.9 - view.target[1]) * ease,
      state.z + ahead[2] * AHEAD,
    ],
  });
}
