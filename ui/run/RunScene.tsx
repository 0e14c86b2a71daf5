import { useFrame } from '@react-three/fiber';
import { useEffect, useMemo, useRef } from 'react';
import type { Course } from '@/core/course';
import { dynamicPieces, groundHeight, runPosing, tideOf } from '@/core/run';
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
import type { useControls } from './controls/useControls';
import { follow } from './follow';
import type { LiveRun } from './liveRun';

interface RunSceneProps {
  readonly course: Course;
  readonly live: LiveRun;
  readonly held: boolean;
  readonly controls: ReturnType<typeof useControls>;
  /** Whether collision shapes are shown over the pictures. */
  readonly shapes: boolean;
  readonly onFinish: () => void;
}

/** The scene of a run; its frames only show where the ticks have got to. */
export function RunScene({ course, live, held, controls, shapes, onFinish }: RunSceneProps) {
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
