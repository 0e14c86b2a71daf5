import { useFrame } from '@react-three/fiber';
import { useEffect, useMemo, useRef } from 'react';
import type { Course } from '@/core/course';
import { DrawnScene, type FollowingEye } from '@/core/sight';
import type { useControls } from './controls/useControls';
import { follow } from './follow';
import type { LiveRun } from './liveRun';
import { PaleRunners } from './pale/PaleRunners';
import type { PaleRun } from './pale/paleRun';
import type { PlacedStone } from './stones/threeStones';
import { StonesByLantern } from './stones/StonesByLantern';
import { RunPicture, useRunShown } from './RunPicture';

interface RunSceneProps {
  readonly course: Course;
  readonly live: LiveRun;
  readonly held: boolean;
  readonly controls: ReturnType<typeof useControls>;
  /** Whether collision shapes are shown over the pictures. */
  readonly shapes: boolean;
  /** Recorded runs shown beside it. */
  readonly pales: readonly PaleRun[];
  /** The first three of the course, who stand by its lantern; then they are looked at. */
  readonly stones: readonly PlacedStone[];
  readonly onFinish: () => void;
}

/** The scene of a run; its frames only show where the ticks have got to. */
export function RunScene(props: RunSceneProps) {
  const { course, live, held, controls, shapes, pales, stones, onFinish } = props;
  const shown = useRunShown(live.world, live.state);
  const told = useRef(false);
  const placed = useRef(0);
  const eye = useRef<FollowingEye | null>(null);
  const scene = useMemo(() => new DrawnScene(live.world), [live.world]);
  useEffect(() => {
    told.current = false;
    placed.current = live.placed;
    shown.begin(live.world, live.state);
    eye.current = follow(null, live, course, scene, 0);
  }, [live, course, scene, shown]);
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
    shown.show(world, state, live.gone());
    // Put somewhere else, the runner is looked at anew, the way it faces there.
    const before = live.placed === placed.current ? eye.current : null;
    if (stones.length === 0) eye.current = follow(before, live, course, scene, delta);
    placed.current = live.placed;
    if ((state.finish >= 0 || state.over) && !told.current) {
      told.current = true;
      onFinish();
    }
  }, -2);

  return (
    <RunPicture
      course={course}
      world={live.world}
      state={live.state}
      shown={shown}
      shapes={shapes}
      away={stones.length > 0}
    >
      {stones.length === 0 ? (
        <PaleRunners kind={course.runner.kind} world={live.world} pales={pales} at={live.state} />
      ) : (
        <StonesByLantern kind={course.runner.kind} world={live.world} stones={stones} />
      )}
    </RunPicture>
  );
}
