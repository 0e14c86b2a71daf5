import { endsOf, joinTo, layPieces, raceOn, setRunner, type PieceInHand } from '@/core/edit';
import {
  RUNNER_TRAITS,
  emptyCourse,
  type Course,
  type CourseKind,
  type CourseSpace,
  type RunnerKind,
} from '@/core/course';

/** What a new course is to be. */
export interface Purpose {
  readonly kind: CourseKind;
  readonly runner: RunnerKind;
  readonly space: CourseSpace;
}

/** The runner that a kind is most often run with, and what then is the space. */
export const USUAL_RUNNER: Readonly<Record<CourseKind, RunnerKind>> = {
  point: 'hopper',
  laps: 'cart',
  gather: 'hopper',
  hold: 'hopper',
  strokes: 'flick',
};

/** Whether a maker may choose between a stage seen from the side and one that is roamed. */
export const hasSpace = ({ kind, runner }: Pick<Purpose, 'kind' | 'runner'>): boolean =>
  RUNNER_TRAITS[runner].walks && kind !== 'laps' && kind !== 'strokes';

/** A new course to build on: ground that suits its kind and its runner, with a start and a goal. */
export function starterCourse(name: string, { kind, runner, space }: Purpose): Course {
  const empty = emptyCourse(name, hasSpace({ kind, runner }) ? space : 'free');
  if (kind === 'laps') return ofKind(round(empty), kind, runner);
  if (RUNNER_TRAITS[runner].hasFront) return ofKind(stretch(empty), kind, runner);
  return ofKind(layPieces(empty, GROUNDS[kind](empty.space)), kind, runner);
}

function ofKind(course: Course, kind: CourseKind, runner: RunnerKind): Course {
  const { laps, ...rest } = setRunner(course, { kind: runner });
  return { ...rest, kind, ...(kind === 'laps' ? { laps } : {}) };
}

const slab = (w: number, d: number): PieceInHand => ({
  family: 'slab',
  at: [0, -0.5, 0],
  size: [w, 0.5, d],
});
const deep = (space: CourseSpace): number => (space === 'side-on' ? 2 : 4);

/** From one end of a slab to the other. */
const plank = (space: CourseSpace): PieceInHand[] => [
  slab(6, deep(space)),
  { family: 'start', at: [-2, 0, 0] },
  { family: 'lantern', at: [2.5, 0, 0] },
];

const GROUNDS: Readonly<Record<CourseKind, (space: CourseSpace) => PieceInHand[]>> = {
  point: plank,
  laps: plank,
  gather: (space) => [
    ...plank(space),
    ...[-0.8, 0.4, 1.6].map((x): PieceInHand => ({ family: 'shell', at: [x, 0.8, 0] })),
  ],
  hold: (space) => [
    slab(9, space === 'side-on' ? 3 : 8),
    { family: 'start', at: [-3.5, 0, 0] },
    {
      family: 'lantern',
      at: [1.5, 0, 0],
      params: { wide: space === 'side-on' ? 2.5 : 5, deep: 4 },
    },
  ],
  strokes: () => [
    slab(14, 5),
    ...[-2.35, 2.35].map((z): PieceInHand => ({
      family: 'block',
      at: [0, 0, z],
      size: [14, 0.5, 0.3],
    })),
    { family: 'start', at: [-5.5, 0, 0] },
    { family: 'lantern', at: [5.5, 0, 0] },
  ],
};

/** Track pieces joined one to the end of the other. */
function joined(pieces: readonly PieceInHand[]): PieceInHand[] {
  const out: PieceInHand[] = [];
  for (const piece of pieces) {
    const last = out[out.length - 1];
    if (!last) out.push(piece);
    else out.push(joinTo(piece, 0, endsOf({ ...last, id: 'last' })[1]));
  }
  return out;
}

const AT: [number, number, number] = [0, 0, 0];
const straight = (length: number): PieceInHand => ({
  family: 'straight',
  at: AT,
  params: { length },
});
const half: PieceInHand = { family: 'bend', at: AT, params: { turn: 180, radius: 7 } };

const raced = (empty: Course, track: readonly PieceInHand[], closed: boolean): Course => {
  const laid = layPieces(empty, track);
  return raceOn(
    laid,
    laid.pieces.map(({ id }) => id),
    closed,
  );
};
const stretch = (empty: Course): Course =>
  raced(empty, joined([straight(8), straight(8), straight(8)]), false);
const round = (empty: Course): Course =>
  raced(empty, joined([straight(14), half, straight(14), half]), true);

/** The first name of its kind that no course has yet: Tide course 1, 2 and on. */
export function freshName(taken: readonly string[]): string {
  for (let n = 1; ; n++) {
    const name = `Tide course ${n}`;
    if (!taken.includes(name)) return name;
  }
}
