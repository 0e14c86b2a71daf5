import { useFrame, useThree } from '@react-three/fiber';
import { useEffect, useMemo, useRef } from 'react';
import type { Course } from '@/core/course';
import type { Film } from '@/core/run';
import { DrawnScene, type FollowingEye } from '@/core/sight';
import type { LineMarkKind, RunLine } from '@/core/timing';
import { RunRibbon } from '../../scene';
import { follow } from '../follow';
import { PaleRunners } from '../pale/PaleRunners';
import type { PaleRun } from '../pale/paleRun';
import { RunPicture, useRunShown } from '../RunPicture';
import type { UseWatchClock } from './watchClock';

interface WatchSceneProps {
  readonly course: Course;
  readonly film: Film;
  readonly clock: UseWatchClock;
  /** Whether the course's own camera goes with the runner, or the view is free. */
  readonly follows: boolean;
  readonly shapes: boolean;
  readonly pales: readonly PaleRun[];
  /** The run's way, once it is drawn. */
  readonly line: RunLine | null;
}

const NO_MARKS: readonly LineMarkKind[] = [];

/** Farther than this between two frames it was put somewhere else, or sought, m. */
const PUT = 3;

/** The scene of a run that is played again. */
export function WatchScene(props: WatchSceneProps) {
  const { course, film, clock, follows, shapes, pales, line } = props;
  const { world, state } = film;
  const shown = useRunShown(world, state);
  const last = useRef({ x: NaN, y: 0, z: 0 });
  const eye = useRef<FollowingEye | null>(null);
  const scene = useMemo(() => new DrawnScene(world), [world]);
  const invalidate = useThree((s) => s.invalidate);
  useEffect(() => shown.begin(world, state), [shown, world, state]);
  // Held, it is drawn anew only when it is sent somewhere else.
  useEffect(() => clock.subscribe(() => invalidate()), [clock, invalidate]);
  useEffect(() => invalidate(), [follows, shapes, pales, line, invalidate]);
  useFrame((_, delta) => {
    clock.getState().advance(Math.min(0.1, delta));
    const now = film.goTo(Math.floor(clock.getState().tick));
    shown.show(world, now);
    if (follows) {
      const { x, y, z } = last.current;
      const far = Math.hypot(now.x - x, now.y - y, now.z - z);
      eye.current = follow(far < PUT ? eye.current : null, film, course, scene, delta);
    } else eye.current = null;
    last.current = { x: now.x, y: now.y, z: now.z };
  }, -2);
  return (
    <RunPicture course={course} world={world} state={state} shown={shown} shapes={shapes}>
      <PaleRunners kind={course.runner.kind} world={world} pales={pales} at={state} />
      {line && <RunRibbon line={line} marks={NO_MARKS} />}
    </RunPicture>
  );
}
