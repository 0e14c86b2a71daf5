import type { CourseKind, RunnerKind } from '@/core/course';

/** What ends a run, in words. */
export const KIND_WORDS: Readonly<Record<CourseKind, string>> = {
  point: 'Point to point',
  laps: 'Laps',
  gather: 'Gather every shell',
  hold: 'Hold the lantern',
  strokes: 'Fewest strokes',
};

/** What moves through a course, in words. */
export const RUNNER_WORDS: Record<RunnerKind, { label: string; hint: string }> = {
  hopper: { label: 'Hopper', hint: 'A pebble on two legs: runs, jumps and steps up.' },
  roller: { label: 'Roller', hint: 'A round stone, pushed along. The button holds it back.' },
  cart: { label: 'Cart', hint: 'A barrow: steered, driven and braked. The button lets it drift.' },
  flick: { label: 'Flick stone', hint: 'A puck: drawn back and let go, once it lies still.' },
};
