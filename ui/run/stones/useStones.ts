import { useEffect, useMemo } from 'react';
import { useWindowDimensions } from 'react-native';
import { distance, mapVec3, type Vec3 } from '@/core/geometry';
import { endGlide, glideTo } from '../../scene';
import { WIDE } from '../../theme';
import type { LiveRun } from '../liveRun';
import type { RunProps } from '../runProps';
import { eyeOnStones, type PlacedStone, stonesBy } from './threeStones';

const NONE: readonly PlacedStone[] = [];

/** What the panel over the scene leaves free: pixels it takes from the right on wide pages, part from the bottom on others. */
const [FROM_RIGHT, FROM_BOTTOM] = [420, 0.7];

/** The stones of the first three once the goal is reached, which are then looked at. */
export function useStones(
  { course, first }: RunProps,
  { world, state }: LiveRun,
  done: boolean,
): readonly PlacedStone[] {
  const { width, height } = useWindowDimensions();
  const shown = done && first !== undefined && first.length > 0;
  const lantern = useMemo(() => {
    if (!shown || world.goals.length === 0) return null;
    const runner: Vec3 = [state.x, state.y, state.z];
    const at = world.goals.reduce((a, b) => (distance(b, runner) < distance(a, runner) ? b : a));
    const { pieces } = course;
    const middle = mapVec3(
      (i) => pieces.reduce((sum, piece) => sum + piece.at[i], 0) / pieces.length,
    );
    return { at, course: middle, sideOn: course.space === 'side-on', tide: world.tide };
  }, [shown, course, world, state]);
  useEffect(() => {
    if (!lantern) return;
    const free =
      width >= WIDE
        ? { width: 1 - FROM_RIGHT / width, height: 1 }
        : { width: 1, height: 1 - FROM_BOTTOM };
    const eye = eyeOnStones(lantern, width / height, free);
    glideTo({ mode: lantern.sideOn ? 'side' : 'free', ...eye }, 700);
    // The next attempt has the eye at once.
    return endGlide;
  }, [lantern, width, height]);
  return useMemo(() => (lantern && first ? stonesBy(lantern, first) : NONE), [lantern, first]);
}
