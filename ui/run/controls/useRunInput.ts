import { useMemo, type RefObject } from 'react';
import type { View } from 'react-native';
import type { Course } from '@/core/course';
import { useGestures } from '../../scene';
import type { LiveRun } from '../liveRun';
import { RUNNER_ROWS } from '../runners';
import { useControls, type Controls, type RunCommands } from './useControls';
import { useFlick } from './useFlick';
import { useGamepad } from './useGamepad';

interface RunInput {
  readonly controls: Controls;
  /** Aiming of a runner that is struck; null where none is struck now. */
  readonly flick: ReturnType<typeof useFlick> | null;
  /** True for a runner that is struck instead of steered. */
  readonly isStruck: boolean;
}

/**
 * All that steers the runner: keys, touch controls, gamepad, and the finger that draws a stroke.
 * @param host the element in which fingers aim, or turn the view
 * @param commands what keys and gamepad do besides
 * @param held true while the run stands still
 * @param flying true while the runner is flown by hand
 */
export function useRunInput(
  course: Course,
  live: LiveRun,
  host: RefObject<View | null>,
  commands: RefObject<RunCommands>,
  held: boolean,
  flying: boolean,
): RunInput {
  const sideOn = course.space === 'side-on';
  const { kind } = course.runner;
  const worked = RUNNER_ROWS[kind].controls.kind;
  const isStruck = worked === 'strokes';
  const controls = useControls(kind, sideOn, (input, at) => live.tell(input, at), commands);
  const striking = isStruck && !held && !flying;
  const flick = useFlick(live, striking);
  useGamepad(worked, controls, flick.strokes, commands);
  const still = useMemo(() => ({ begin: () => sideOn || worked === 'pedals' }), [sideOn, worked]);
  useGestures(host, isStruck && !flying ? flick.tool : still);
  return { controls, flick: striking ? flick : null, isStruck };
}
