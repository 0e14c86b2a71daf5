import { type Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import {
  courseHash,
  buildWorld,
  cloneState,
  FULL_AIM,
  mayStrike,
  NO_INPUT,
  Recorder,
  initialState,
  tick,
  type Input,
  type Run,
  type RunState,
} from '@/core/run';
import type { Manner } from './drive';

interface Ball {
  readonly state: RunState;
  readonly next: number;
  readonly left: number;
  readonly from: Ball | null;
  /** Ticks of waiting before the stroke that led here, the stroke, and ticks until it lay still. */
  readonly stroke: Input;
  readonly rolled: number;
}

/** Longest a stone is watched after a stroke, ticks. */
const LONGEST = 1400;
/** Strokes a round is given up after. */
const MOST_STROKES = 24;
/** Degrees to either side of the next place that are tried, and parts of the hardest stroke. */
const TURNS = [-50, -32, -20, -12, -6, -2, 0, 2, 6, 12, 20, 32, 50];
const STRENGTHS = [0.18, 0.28, 0.38, 0.5, 0.62, 0.76, 0.9, 1];

const flat = (a: Vec3, b: Vec3): number => Math.hypot(a[0] - b[0], a[2] - b[2]);

/**
 * Plays a course with a flick stone by trying strokes in the simulation and going on from the best.
 * @throws Error when no strokes reach the goal
 */
export function strike(course: Course, route: readonly Vec3[], manner: Manner): Run {
  const world = buildWorld(course);
  const tail = route.map((_, i) =>
    route.slice(i + 1).reduce((sum, p, k) => sum + flat(route[i + k], p), 0),
  );
  const start = initialState(world);
  const settled = rest(cloneState(start));
  let balls: Ball[] = [
    {
      state: settled.state,
      next: 0,
      left: Infinity,
      from: null,
      stroke: NO_INPUT,
      rolled: settled.ticks,
    },
  ];
  const breadth = Math.max(3, Math.round(manner.breadth / 12));
  for (let n = 0; n < MOST_STROKES; n++) {
    const seen = new Map<string, Ball>();
    for (const ball of balls) {
      const { x, z } = ball.state;
      const to = route[ball.next];
      const towards = Math.atan2(to[2] - z, to[0] - x);
      for (const turn of TURNS) {
        for (const full of STRENGTHS) {
          // Who pushes less hard strikes less hard, and takes another way.
          const strength = full * (0.55 + 0.45 * manner.push);
          const a = towards + (turn * Math.PI) / 180;
          const stroke: Input = {
            x: Math.round(Math.cos(a) * strength * FULL_AIM),
            z: Math.round(Math.sin(a) * strength * FULL_AIM),
            jump: true,
          };
          const state = cloneState(ball.state);
          const { leg } = state;
          tick(world, state, stroke, () => {});
          const { ticks, fell } = rest(state);
          if (fell) continue;
          // Each leg done begins at its own part of the route.
          const next = state.leg > leg ? legStart(route, state) : pass(route, ball.next, state);
          const on: Ball = {
            state,
            next,
            left: flat([state.x, state.y, state.z], route[next]) + tail[next],
            from: ball,
            stroke,
            rolled: ticks,
          };
          if (state.finish >= 0) return record(course, on);
          const key = [state.x, state.z, state.leg].map((v) => Math.round(v * 2)).join(' ');
          const known = seen.get(key);
          if (!known || on.left < known.left) seen.set(key, on);
        }
      }
    }
    balls = [...seen.values()].sort((a, b) => a.left - b.left).slice(0, breadth);
    if (balls.length === 0) break;
  }
  throw new Error(`No strokes through "${course.name}" were found.`);

  /** Waits until a stone lies still. */
  function rest(state: RunState): { state: RunState; ticks: number; fell: boolean } {
    const { falls } = state;
    let ticks = 0;
    do {
      tick(world, state, NO_INPUT, () => {});
      ticks++;
    } while (ticks < LONGEST && state.finish < 0 && (state.rest > 0 || !mayStrike(state)));
    return { state, ticks, fell: state.falls > falls || ticks >= LONGEST };
  }
}

/** The place of the route nearest to where a leg begins. */
const legStart = (route: readonly Vec3[], s: RunState): number =>
  route.reduce(
    (best, p, i) => (flat(p, [s.x, s.y, s.z]) < flat(route[best], [s.x, s.y, s.z]) ? i : best),
    0,
  );

/** The next place that is not behind yet. */
function pass(route: readonly Vec3[], next: number, s: RunState): number {
  let at = next;
  while (at < route.length - 1 && flat(route[at], [s.x, s.y, s.z]) < 2) at++;
  return at;
}

function record(course: Course, end: Ball): Run {
  const balls: Ball[] = [];
  for (let ball: Ball | null = end; ball; ball = ball.from) balls.push(ball);
  const recorder = new Recorder();
  for (const { stroke, rolled, from } of balls.reverse()) {
    if (from) recorder.add(stroke);
    for (let i = 0; i < rolled; i++) recorder.add(NO_INPUT);
  }
  return recorder.run(courseHash(course), end.state.finish);
}
