import type { Vec3 } from '../../geometry';
import type { Ease } from '../../motion';
import type { ChoiceParam, NumberParam, OwnMotion, Spec } from '../family';
import { oneOf } from '../parts';

export const phase: NumberParam = {
  key: 'phase',
  label: 'Start offset',
  kind: 'number',
  unit: '',
  min: 0,
  max: 1,
  step: 0.05,
  initial: 0,
};

export const ease: ChoiceParam = oneOf('ease', 'Pace', {
  smooth: 'Slows at the ends',
  even: 'Even',
});

/** What the period is counted in. */
export const counted: ChoiceParam = oneOf('counted', 'Period in', {
  seconds: 'Seconds',
  beats: 'Beats',
});

export const inBeats = ({ choice }: Spec) =>
  choice('counted') === 'beats' ? { beats: true as const } : {};

/** What every motion of a family is timed by. */
export const timedBy = (spec: Spec) => ({
  period: spec.number('period'),
  phase: spec.number('phase'),
  ease: spec.choice('ease') as Ease,
  ...inBeats(spec),
});

/** Timing of something that goes round at one pace. */
export const roundBy = (spec: Spec, axis: Vec3, pivot: Vec3): OwnMotion => ({
  kind: 'spin',
  axis,
  pivot,
  turns: spec.choice('way') === 'back' ? -1 : 1,
  period: spec.number('period'),
  phase: spec.number('phase'),
  ease: 'even',
  ...inBeats(spec),
});

export const way = oneOf('way', 'Goes round', { on: 'Anticlockwise', back: 'Clockwise' });
