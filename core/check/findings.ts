import type { Course, Piece } from '../course';
import { boundsOf, type Vec3 } from '../geometry';
import { inTempo, isDriven, toldMotion, topSpeed, type Motion } from '../motion';
import {
  cairnNumber,
  familyOf,
  findFamily,
  legOf,
  localGeometry,
  registerModels,
  specOf,
  takesValue,
  type Param,
} from '../pieces';
import { buildWorld, startState, STEP_HEIGHT, tick, NO_INPUT } from '../run';
import { about, type Check, type Finding } from './finding';
import { JOINTS } from './joints';
import { steps } from './steps';
import { TUNED } from './tuned';

/** Fastest a mover may carry or hit a runner, m/s: within a tick it then stays thinner than a body. */
export const FASTEST_MOVER = 30;

/** What keeps a document's pieces from being understood at all: families and settings that are none. */
export function checkPieces(course: Course): Finding[] {
  const unknown = unknownFamilies(course);
  return unknown.length > 0 ? unknown : settings(course);
}

/** Everything found wrong with a course, errors first. */
export function checkCourse(course: Course): Finding[] {
  registerModels(course);
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

function rangeWords(param: Param): string {
  switch (param.kind) {
    case 'number':
      return `goes from ${param.min} to ${param.max}`;
    case 'choice':
      return `is one of ${param.options.map(({ value }) => value).join(', ')}`;
    case 'several':
      return `goes from 0 to ${(1 << param.options.length) - 1}, a bit for each of ${param.options.join(', ')}`;
    case 'text':
      return 'is words';
  }
}

const settings: Check = ({ pieces }) =>
  pieces.flatMap((piece) => {
    const family = findFamily(piece.family)!;
    return Object.entries(piece.params ?? {}).flatMap(([key, value]): Finding[] => {
      const param = family.params.find((p) => p.key === key);
      if (param && takesValue(param, value)) return [];
      const range = param ? rangeWords(param) : 'is unknown';
      return [
        about(piece, 'setting', 'error', `${family.label}: ${param?.label ?? key} ${range}.`),
      ];
    });
  });

const start: Check = (course) => {
  const starts = course.pieces.filter(({ family }) => family === 'start');
  const twice = starts.find((a, i) => starts.findIndex((b) => legOf(b) === legOf(a)) < i);
  if (twice) {
    const where = course.legs ? ` on leg ${legOf(twice)}` : '';
    return [about(twice, 'starts', 'error', `There are two starts${where}; one has to go.`)];
  }
  if (starts.length > 0) return [];
  return [
    {
      rule: 'start',
      weight: 'error',
      message: 'The course has no start.',
      fix: { label: 'Lay a start', edit: { do: 'start' } },
    },
  ];
};

const startInAir: Check = (course) => {
  const piece = course.pieces.find(({ family }) => family === 'start');
  if (!piece) return [];
  // What is loose stands where it was laid: bodies are for runs.
  const pieces = course.pieces.map((one) => (one.loose ? { ...one, loose: undefined } : one));
  const world = buildWorld({ ...course, pieces });
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
  if (!fell && state.ground >= 0 && drop < STEP_HEIGHT) return [];
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

/** The greatest speed of anything that moves of a piece, m/s; nothing when nothing moves. */
function fastestOf(piece: Piece, tempo: Course['tempo']): number | null {
  const { parts, motion } = localGeometry(piece);
  const whole = (piece.motion ?? []).flatMap((told) => (isDriven(told) ? [] : [toldMotion(told)]));
  if (!motion && whole.length === 0) return null;
  const corners = (moving: boolean) =>
    parts.flatMap((part) => (!moving || part.moving ? cornersOf(part.solid.points) : []));
  const fastest = (of: Motion, points: readonly Vec3[]) =>
    Math.max(0, ...points.map((p) => topSpeed(inTempo(of, tempo), p)));
  return (
    (motion ? fastest(motion, corners(true)) : 0) +
    whole.reduce((sum, one) => sum + fastest(one, corners(false)), 0)
  );
}

/** The corners of the box about points: nothing of what is within moves faster than all of them. */
const cornersOf = (points: readonly Vec3[]): Vec3[] => {
  const { low, high } = boundsOf(points);
  return [low, high].flatMap(([x], i) => [
    [x, low[1], (i ? high : low)[2]] as Vec3,
    [x, high[1], (i ? low : high)[2]] as Vec3,
  ]);
};

const speed: Check = ({ pieces, tempo }) =>
  pieces.flatMap((piece) => {
    const fastest = fastestOf(piece, tempo);
    if (fastest === null || fastest <= FASTEST_MOVER) return [];
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
      about(piece, 'twins', 'notice', 'Two alike pieces lie in the same place.', {
        label: 'Take one away',
        edit: { do: 'remove', id: piece.id },
      }),
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

const laps: Check = ({ kind, pieces }) =>
  kind === 'laps' && !pieces.some(({ family }) => family === 'cairn')
    ? [
        {
          rule: 'laps',
          weight: 'error',
          message: 'Rounds need at least one cairn to tell one from the next.',
        },
      ]
    : [];

/** Portals and gates work by their numbers: each needs another with the same one. */
const pairs: Check = ({ pieces }) => {
  const numberOf = (piece: Piece) => specOf(familyOf(piece.family), piece).number('pair');
  const of = (family: string) => pieces.filter((piece) => piece.family === family);
  const alone = (piece: Piece, others: readonly Piece[], message: string): Finding[] =>
    others.some((other) => other !== piece && numberOf(other) === numberOf(piece))
      ? []
      : [about(piece, 'pairs', 'notice', message)];
  const [portals, gates, switches] = [of('portal'), of('gate'), of('switch')];
  return [
    ...portals.flatMap((piece) =>
      alone(piece, portals, `No other portal has the number ${numberOf(piece)}; it leads nowhere.`),
    ),
    ...gates.flatMap((piece) =>
      alone(piece, switches, `No switch has the number ${numberOf(piece)}; this gate never opens.`),
    ),
    ...switches.flatMap((piece) =>
      alone(piece, gates, `No gate has the number ${numberOf(piece)}; this switch opens nothing.`),
    ),
  ];
};

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
  laps,
  pairs,
  ...TUNED,
  ...JOINTS,
  steps,
];
