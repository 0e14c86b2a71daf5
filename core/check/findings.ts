import { layPiece } from '../assemble';
import type { Course, Piece } from '../course';
import type { Vec3 } from '../geometry';
import { topSpeed } from '../motion';
import { cairnNumber, familyOf, findFamily, localGeometry, pieceBounds, specOf } from '../pieces';
import { buildWorld, hopperOf, startState, tick, NO_INPUT } from '../run';

/** Something wrong with a course, in plain words. */
export interface Finding {
  readonly rule: Rule;
  /** `error` keeps the course from being run or shared; `notice` does not. */
  readonly weight: 'error' | 'notice';
  readonly message: string;
  /** The piece concerned, and where to look. */
  readonly piece?: string;
  readonly at?: Vec3;
  /** What the fix would do, where there is one, and the course with it done. */
  readonly fix?: { readonly label: string; readonly apply: (course: Course) => Course };
}

export type Rule =
  | 'family'
  | 'setting'
  | 'start'
  | 'starts'
  | 'start-air'
  | 'goal'
  | 'name'
  | 'speed'
  | 'cairn-numbers'
  | 'twins'
  | 'below-tide';

/** Fastest a mover may carry or hit a runner, m/s: within a tick it then stays thinner than a body. */
export const FASTEST_MOVER = 30;

type Check = (course: Course) => Finding[];

/** Everything found wrong with a course, errors first. */
export function checkCourse(course: Course): Finding[] {
  const unknown = unknownFamilies(course);
  // The other rules build the pieces, which needs their families.
  if (unknown.length > 0) return unknown;
  return RULES.flatMap((rule) => rule(course)).sort(
    (a, b) => Number(a.weight === 'notice') - Number(b.weight === 'notice'),
  );
}

const unknownFamilies: Check = ({ pieces }) =>
  pieces
    .filter(({ family }) => !findFamily(family))
    .map((piece) => ({
      rule: 'family',
      weight: 'error',
      message: `There is no family "${piece.family}".`,
      piece: piece.id,
      at: piece.at,
    }));

const settings: Check = ({ pieces }) =>
  pieces.flatMap((piece) => {
    const family = findFamily(piece.family)!;
    return Object.entries(piece.params ?? {}).flatMap(([key, value]): Finding[] => {
      const param = family.params.find((p) => p.key === key);
      const fits =
        param?.kind === 'number'
          ? typeof value === 'number' && value >= param.min && value <= param.max
          : param?.kind === 'choice'
            ? param.options.some((option) => option.value === value)
            : param !== undefined && typeof value === 'string';
      if (fits) return [];
      const range =
        param?.kind === 'number'
          ? `goes from ${param.min} to ${param.max}`
          : param?.kind === 'choice'
            ? `is one of ${param.options.map((option) => option.value).join(', ')}`
            : 'is unknown';
      return [
        about(piece, 'setting', 'error', `${family.label}: ${param?.label ?? key} ${range}.`),
      ];
    });
  });

const start: Check = (course) => {
  const starts = course.pieces.filter(({ family }) => family === 'start');
  if (starts.length > 1) {
    return [about(starts[1], 'starts', 'error', 'There are two starts; one has to go.')];
  }
  if (starts.length === 1) return [];
  return [
    {
      rule: 'start',
      weight: 'error',
      message: 'The course has no start.',
      fix: { label: 'Lay a start', apply: addStart },
    },
  ];
};

/** Stands a start on the piece furthest to the left, or at the origin of an empty course. */
export function addStart(course: Course): Course {
  const ground = course.pieces
    .filter((piece) => localGeometry(piece).shapes.some(({ role }) => role === 'solid'))
    .map(pieceBounds)
    .sort((a, b) => a.low[0] - b.low[0])[0];
  const at: [number, number, number] = ground
    ? [
        Math.min(ground.low[0] + 0.75, ground.high[0]),
        ground.high[1],
        (ground.low[2] + ground.high[2]) / 2,
      ]
    : [0, 0, 0];
  return layPiece(course, { family: 'start', at });
}

const startInAir: Check = (course) => {
  const piece = course.pieces.find(({ family }) => family === 'start');
  if (!piece) return [];
  const world = buildWorld(course);
  const state = startState(world);
  let fell = false;
  for (let i = 0; i < 60 && state.ground < 0 && !fell; i++) {
    tick(
      world,
      state,
      NO_INPUT,
      ({ kind }) => (fell = fell || kind === 'fall' || kind === 'crush'),
    );
  }
  const drop = piece.at[1] - state.y;
  if (!fell && state.ground >= 0 && drop < hopperOf().stepHeight) return [];
  return [about(piece, 'start-air', 'notice', 'The start stands in the air.')];
};

const goal: Check = ({ pieces }) =>
  pieces.some(({ family }) => family === 'lantern')
    ? []
    : [{ rule: 'goal', weight: 'error', message: 'The course has no goal. Lay a lantern.' }];

const named: Check = ({ name }) =>
  name.trim().length >= 3
    ? []
    : [{ rule: 'name', weight: 'error', message: 'The name needs at least three letters.' }];

const speed: Check = ({ pieces }) =>
  pieces.flatMap((piece) => {
    const { motion } = localGeometry(piece);
    if (!motion) return [];
    const fastest = topSpeed(motion, specOf(familyOf(piece.family), piece).number('length'));
    if (fastest <= FASTEST_MOVER) return [];
    const message = `Moves at ${fastest.toFixed(0)} m/s; at most ${FASTEST_MOVER} m/s keeps contact exact. Give it a longer period.`;
    return [about(piece, 'speed', 'error', message)];
  });

const cairnNumbers: Check = ({ pieces }) => {
  const seen = new Set<number>();
  return pieces.flatMap((piece) => {
    if (piece.family !== 'cairn') return [];
    const number = cairnNumber(piece);
    if (!seen.has(number)) {
      seen.add(number);
      return [];
    }
    return [about(piece, 'cairn-numbers', 'notice', `Two cairns carry the number ${number}.`)];
  });
};

const twins: Check = ({ pieces }) => {
  const seen = new Set<string>();
  return pieces.flatMap((piece) => {
    const place = `${piece.family} ${piece.at.map((v) => v.toFixed(2))}`;
    if (!seen.has(place)) {
      seen.add(place);
      return [];
    }
    return [
      {
        ...about(piece, 'twins', 'notice', 'Two alike pieces lie in the same place.'),
        fix: {
          label: 'Take one away',
          apply: (course: Course) => ({
            ...course,
            pieces: course.pieces.filter(({ id }) => id !== piece.id),
          }),
        },
      },
    ];
  });
};

const belowTide: Check = (course) => {
  if (course.tide === undefined) return [];
  const { tide } = course;
  return course.pieces
    .filter(({ family, at }) => ['start', 'cairn', 'lantern'].includes(family) && at[1] < tide)
    .map((piece) =>
      about(piece, 'below-tide', 'error', 'Stands below the tide line, where no run can go on.'),
    );
};

const about = (piece: Piece, rule: Rule, weight: Finding['weight'], message: string): Finding => ({
  rule,
  weight,
  message,
  piece: piece.id,
  at: piece.at,
});

const RULES: readonly Check[] = [
  settings,
  start,
  goal,
  named,
  startInAir,
  speed,
  cairnNumbers,
  twins,
  belowTide,
];
