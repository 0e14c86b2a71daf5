import { applyPose, TICKS_PER_SECOND } from '@/core/motion';
import { RUNNER_TRAITS, type Course, type RunnerKind } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import {
  courseHash,
  buildWorld,
  cloneState,
  padSteps,
  poseMover,
  Recorder,
  initialState,
  tick,
  type Input,
  type Run,
  type RunState,
  type World,
} from '@/core/run';

/** How somebody runs: how hard they push the pad, and how often they think again, in ticks. */
export interface Manner {
  readonly push: number;
  readonly beat: number;
  /** How many ways to go on are kept in mind; few makes a runner that dithers. */
  readonly breadth: number;
}

interface Way {
  readonly state: RunState;
  /** The next place of the route. */
  readonly next: number;
  readonly left: number;
  readonly from: Way | null;
  readonly input: Input;
}

/** Longest run that is driven, s. */
const LONGEST = 150;

/**
 * Runs a course along a route by looking ahead in the simulation itself: at every beat each way kept
 * tries a few inputs, and those that are furthest along go on (beam search; Lowerre, 1976).
 * @throws Error when no way reaches the goal in time
 */
export function drive(course: Course, route: readonly Vec3[], manner: Manner): Run {
  const world = buildWorld(course);
  const tail = route.map((_, i) =>
    route.slice(i + 1).reduce((sum, p, k) => sum + flat(route[i + k], p), 0),
  );
  let ways: Way[] = [
    { state: initialState(world), next: 0, left: Infinity, from: null, input: STAND },
  ];
  for (let beats = 0; beats * manner.beat < LONGEST * TICKS_PER_SECOND; beats++) {
    const seen = new Map<string, Way>();
    for (const way of ways) {
      for (const input of choices(course.runner.kind, way.state, route[way.next], manner.push)) {
        const state = cloneState(way.state);
        for (let i = 0; i < manner.beat && state.finish < 0; i++)
          tick(world, state, input, () => {});
        state.bodies?.pack();
        if (state.falls > 0) continue;
        const next = advance(state, route, way.next, NEAR[course.runner.kind]);
        const left =
          flat([state.x, state.y, state.z], route[next]) + tail[next] + offMiddle(world, state);
        const on = { state, next, left, from: way, input };
        if (state.finish >= 0) return record(course, on, manner.beat);
        const key = place(state, next);
        const known = seen.get(key);
        if (!known || left < known.left) seen.set(key, on);
      }
    }
    // Those in the air look further along than they may get; those on the ground are kept as well.
    const [standing, flying] = [true, false].map((grounded) =>
      [...seen.values()]
        .filter(({ state }) => state.ground >= 0 === grounded)
        .sort((a, b) => a.left - b.left)
        .slice(0, manner.breadth),
    );
    ways = [...standing, ...flying];
    if (ways.length === 0) break;
  }
  throw new Error(`No way through "${course.name}" was found.`);
}

const STAND: Input = { x: 0, z: 0, jump: false };

/** How near a place counts as reached, m. What rolls takes wide turns. */
const NEAR: Record<RunnerKind, number> = { hopper: 0.9, roller: 1.3, cart: 2.2, flick: 1.6 };

/** What somebody might do next, by the runner they have. */
function choices(kind: RunnerKind, state: RunState, towards: Vec3, push: number): Input[] {
  const dx = towards[0] - state.x;
  const dz = towards[2] - state.z;
  const l = Math.hypot(dx, dz) || 1;
  if (RUNNER_TRAITS[kind].hasFront) return pedals(state, dx / l, dz / l, push);
  const pad = (part: number, jump: boolean, turn = 0): Input => {
    const [c, s] = [Math.cos(turn), Math.sin(turn)];
    return {
      x: padSteps(((dx * c - dz * s) / l) * part * push),
      z: padSteps(((dx * s + dz * c) / l) * part * push),
      jump,
    };
  };
  if (!RUNNER_TRAITS[kind].walks) {
    return [
      pad(1, false),
      pad(1, false, 0.6),
      pad(1, false, -0.6),
      pad(0, true),
      pad(-1, false),
      pad(0.4, false),
    ];
  }
  return [pad(1, false), pad(1, true), pad(0, false), pad(0, true), pad(0.5, true), pad(-1, false)];
}

/** A cart is steered towards the place, more or less, and driven, let roll or braked. */
function pedals(s: RunState, dx: number, dz: number, push: number): Input[] {
  // Above 0 the place lies to the right of the way ahead.
  const side = s.fx * dz - s.fz * dx;
  const ahead = s.fx * dx + s.fz * dz;
  const wanted = Math.max(-1, Math.min(1, Math.atan2(side, ahead) * 2));
  return [wanted, wanted * 0.5, Math.sign(wanted), 0].flatMap((steer) =>
    [-push, -0.3, 0.6].map((pedal) => ({ x: padSteps(steer), z: padSteps(pedal), jump: false })),
  );
}

function advance(state: RunState, route: readonly Vec3[], next: number, near: number): number {
  const close =
    (state.ground >= 0 || near > 1) &&
    flat([state.x, state.y, state.z], route[next]) < near &&
    Math.abs(state.y - route[next][1]) < Math.max(0.8, near * 0.7);
  return close && next < route.length - 1 ? next + 1 : next;
}

/** How far somebody who is carried is from the middle of what carries them, m: nobody waits at a rim. */
function offMiddle(world: World, s: RunState): number {
  const carrier = world.colliders[s.ground];
  if (!carrier || carrier.mover < 0) return 0;
  const { pose } = poseMover(world.movers, s, carrier.mover);
  const { at } = world.pieces[carrier.piece];
  return flat([s.x, s.y, s.z], applyPose(pose, at));
}

const flat = (a: Vec3, b: Vec3): number => Math.hypot(a[0] - b[0], a[2] - b[2]);

const place = (s: RunState, next: number): string =>
  [s.x * 3, s.y * 3, s.z * 3, s.vx / 1.5, s.vy / 2, s.vz / 1.5, next, s.ground]
    .map(Math.round)
    .join(' ');

function record(course: Course, end: Way, beat: number): Run {
  const inputs: Input[] = [];
  for (let way: Way | null = end; way?.from; way = way.from) inputs.push(way.input);
  const recorder = new Recorder();
  for (const input of inputs.reverse()) for (let i = 0; i < beat; i++) recorder.add(input);
  return recorder.run(courseHash(course), end.state.finish);
}
