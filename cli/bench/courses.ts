import { layPieces, type PieceInHand } from '@/core/edit';
import { emptyCourse, RUNNER_TRAITS, type Course, type Link, type RunnerKind } from '@/core/course';
import { mayStrike, type Input, type RunState } from '@/core/run';

/** Metres from one lane of the measuring course to the next. */
const LANE = 12;
/** Pieces from one mover to the next, until there are as many as asked for. */
const SPACING = 15;

/**
 * A made course for measuring: lanes of slabs with steps, thorns, shells and movers among them. The
 * runner works along the first lane; the rest is what a large course has besides.
 */
export function measuringCourse(pieces: number, movers: number): Course {
  const list: PieceInHand[] = [{ family: 'start', at: [2, 0, 0] }];
  const perLane = 100;
  for (let i = 0; list.length < pieces; i++) {
    const lane = Math.floor(i / perLane);
    const x = (i % perLane) * 2 + 1;
    const z = lane * LANE;
    const mover = i % SPACING === SPACING - 1 && i < movers * SPACING;
    // Half of the movers are the floor itself, rising and sinking under the runner; half slide about
    // over the edge of the lane, where a jump meets them.
    if (mover && Math.floor(i / SPACING) % 2 === 0) {
      const params = { span: 0.25, period: 3 + (i % 5), direction: 'up' };
      list.push({ family: 'drift', at: [x, -0.5, z], params });
      continue;
    }
    if (mover) {
      const params = { span: 2, period: 3 + (i % 5) };
      list.push({ family: 'drift', at: [x, 1.4, z + 1.1], params });
    }
    if (i % 17 === 9) list.push({ family: 'block', at: [x, -1.75, z], size: [2, 2, 2] });
    else list.push({ family: 'slab', at: [x, -0.5, z] });
  }
  return { ...layPieces(emptyCourse('Measuring', 'free'), list.slice(0, pieces)), tide: -6 };
}

/** Runs to and fro along the first lane, jumping now and then. */
export function paceInput(state: RunState, forward: boolean): Input {
  return { x: forward ? 16 : -16, z: 0, jump: state.tick % 120 < 20 };
}

/** Turns round near the ends of the first lane. */
export const keepsForward = (state: RunState, forward: boolean): boolean =>
  state.x > 190 ? false : state.x < 6 ? true : forward;

/** Pieces along one side of the measuring field. */
const SIDE = 24;

/**
 * A field of slabs with everything that tuning can set among them: movers of every kind, links, throwers.
 * Roomy enough for what rolls to go round and round in.
 */
export function measuringField(
  kind: RunnerKind,
  counts: Record<'pieces' | 'movers' | 'links' | 'throwers' | 'loose', number>,
): Course {
  const { pieces, movers, links, throwers, loose } = counts;
  const list: PieceInHand[] = [{ family: 'start', at: [0, 0, 0] }];
  const motions = [
    [
      {
        kind: 'path',
        points: [
          [4, 0, 0],
          [4, 0, 4],
        ],
        speed: 2,
        after: 'round',
      },
    ],
    [{ kind: 'spin', axis: 'y', period: 5 }],
    [{ kind: 'bob', height: 0.2, period: 3 }],
    [{ kind: 'circle', axis: 'y', radius: 2, period: 6 }],
  ] as PieceInHand['motion'][];
  for (let i = 0; i < movers; i++) {
    const angle = (i * 2 * Math.PI) / movers;
    const reach = i % 2 ? 20 : 9;
    list.push({
      family: 'crate',
      at: [reach * Math.cos(angle), 0.1, reach * Math.sin(angle)],
      motion: motions[i % motions.length],
      ...(i % 5 === 4 ? { wake: { by: 'near' as const, range: 8, sleep: 12 } } : {}),
    });
  }
  for (let i = 0; i < throwers; i++) {
    list.push({
      family: 'cask',
      at: [i % 2 ? 18 : -18, 0, i < 2 ? 18 : -18],
      turn: [0, 45 + 90 * i, 0],
      thrower: { what: 'boulder', size: 0.5, interval: 1.5, speed: 7, life: 5, does: 'push' },
    });
  }
  for (let i = 0; i < loose; i++) {
    const angle = (i * 2 * Math.PI) / loose;
    const reach = [5, 12, 15][i % 3];
    list.push({
      family: i % 2 ? 'cask' : 'crate',
      at: [reach * Math.cos(angle), 0, reach * Math.sin(angle)],
      size: [0.6, 0.6, 0.6],
      loose: true,
    });
  }
  for (let i = 0; i < links; i++) {
    list.push({
      family: 'touch',
      at: [(i % 5) * 8 - 16, 0, Math.floor(i / 5) * 8 - 16],
      size: [2, 2, 2],
    });
  }
  for (let i = 0; list.length < pieces; i++) {
    list.push({
      family: 'slab',
      at: [((i % SIDE) - SIDE / 2) * 2 + 1, -0.5, (Math.floor(i / SIDE) - SIDE / 2) * 2 + 1],
    });
  }
  const course = layPieces({ ...emptyCourse('Field', 'free'), runner: { kind } }, list);
  const regions = course.pieces.filter(({ family }) => family === 'touch');
  return {
    ...course,
    tide: -6,
    links: regions.map(({ id }, i): Link => ({
      id: `l${i + 1}`,
      cue: { kind: (['touched', 'left', 'stood'] as const)[i % 3], pieces: [id], seconds: 0.2 },
      effects: [{ kind: 'points', value: 1 }],
    })),
  };
}

/** Goes round and round the field, each runner in its own way. */
export function roundInput(kind: RunnerKind, s: RunState): Input {
  const angle = s.tick / 400;
  if (RUNNER_TRAITS[kind].struck) {
    if (!mayStrike(s)) return { x: 0, z: 0, jump: false };
    return {
      x: Math.round(-s.x * 50 + 400 * Math.cos(angle)),
      z: Math.round(-s.z * 50 + 400 * Math.sin(angle)),
      jump: s.tick % 2 === 0,
    };
  }
  // Along the circle, drawn in towards the middle from far out.
  const far = Math.sqrt(s.x * s.x + s.z * s.z);
  const [ax, az] = [
    -Math.sin(angle) - (far > 14 ? s.x / far : 0),
    Math.cos(angle) - (far > 14 ? s.z / far : 0),
  ];
  if (RUNNER_TRAITS[kind].hasFront) {
    // Steered towards that; now and then it backs out of what it may have run into.
    const right = -ax * s.fz + az * s.fx;
    const back = s.tick % 480 < 120;
    return { x: steps(back ? -2 * right : 2 * right), z: back ? 16 : -12, jump: false };
  }
  return {
    x: steps(ax),
    z: steps(az),
    jump: RUNNER_TRAITS[kind].walks && s.tick % 120 < 20,
  };
}

const steps = (push: number): number => Math.round(16 * Math.max(-1, Math.min(1, push)));
