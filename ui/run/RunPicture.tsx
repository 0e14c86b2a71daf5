import { useMemo, useRef, type ReactNode, type RefObject } from 'react';
import type { Course } from '@/core/course';
import {
  dynamicPieces,
  groundHeight,
  hiddenPieces,
  runPosing,
  tideOf,
  type RunState,
  type World,
} from '@/core/run';
import {
  BoardTexts,
  ContactShapes,
  GroundPaint,
  MovingPieces,
  restingMoment,
  Runner,
  StillPieces,
  Surroundings,
  ThrownCopies,
  type FrameState,
  type Shown,
} from '../scene';

/** What the picture of a run is drawn by, changed in place frame by frame. */
export interface RunShown {
  readonly moment: RefObject<FrameState>;
  readonly runner: RefObject<Shown>;
  readonly level: RefObject<number>;
  /** Takes up another run. */
  readonly begin: (world: World, state: RunState) => void;
  /**
   * Shows a state.
   * @param gone ids of what is not to be seen, where the caller keeps them
   */
  readonly show: (world: World, state: RunState, gone?: ReadonlySet<string>) => void;
}

/** What a picture of a run is drawn by, from a run's first state on. */
export function useRunShown(world: World, state: RunState): RunShown {
  const moment = useRef<FrameState>(restingMoment(true));
  const runner = useRef<Shown>({ state, body: world.bodies[0], way: 0, floor: 0 });
  const level = useRef(world.tide);
  const before = useRef({ x: 0, z: 0 });
  return useMemo(
    () => ({
      moment,
      runner,
      level,
      begin: (of: World, first: RunState) => {
        Object.assign(runner.current, { state: first, way: 0 });
        moment.current.posing = runPosing(of, first);
      },
      show: (of: World, now: RunState, gone = hiddenPieces(of, now)) => {
        const at = runner.current;
        at.way += Math.hypot(now.x - before.current.x, now.z - before.current.z);
        before.current = { x: now.x, z: now.z };
        at.body = of.bodies[now.size];
        at.floor = groundHeight(of, now);
        level.current = tideOf(now);
        moment.current.tick = now.tick;
        moment.current.gone = gone;
      },
    }),
    [],
  );
}

interface RunPictureProps {
  readonly course: Course;
  readonly world: World;
  readonly state: RunState;
  readonly shown: RunShown;
  /** Whether collision shapes are shown over the pictures. */
  readonly shapes: boolean;
  /** Whether the runner is not to be seen. */
  readonly away?: boolean;
  readonly children?: ReactNode;
}

/** A course with somebody running it. */
export function RunPicture({
  course,
  world,
  state,
  shown,
  shapes,
  away,
  children,
}: RunPictureProps) {
  const lively = useMemo(() => dynamicPieces(course), [course]);
  const still = useMemo(
    () => course.pieces.filter(({ id }) => !lively.has(id)),
    [course.pieces, lively],
  );
  const { moment, runner, level } = shown;
  return (
    <>
      <Surroundings tide={world.tide} sky={course.sky} level={level} />
      <GroundPaint course={course} />
      <StillPieces pieces={still} tide={world.tide} />
      <MovingPieces pieces={course.pieces} lively={lively} moment={moment} />
      <ThrownCopies world={world} state={state} />
      <BoardTexts pieces={course.pieces} />
      {shapes && <ContactShapes course={course} pieces={course.pieces} moment={moment} />}
      {!away && <Runner kind={course.runner.kind} shown={runner} />}
      {children}
    </>
  );
}
