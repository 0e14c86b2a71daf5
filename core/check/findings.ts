import type { Course, Piece } from '../course';
import { boundsOf, type Vec3 } from '../geometry';
import { inTempo, isDriven, toldMotion, topSpeed, type Motion } from '../motion';
import {
  checkpointNumber,
  familyOf,
  findFamily,
  legOf,
  markOf,
  localGeometry,
  pieceBounds,
  registerModels,
  specOf,
  takesValue,
  type Param,
} from '../pieces';
import { buildWorld, startState, STEP_HEIGHT, tick, NO_INPUT } from '../run';
import { crowds } from './crowd';
import { about, type Check, type Finding } from './finding';
import { heavyRun } from './heavyRun';
import { JOINTS } from './joints';
import { overlaps } from './overlaps';
import { seams } from './seams';
import { steps } from './steps';
import { TUNED } from './tuned';

/** Fastest a mover may carry or hit a runner, m/s: within a tick it then stays thinner than a body. */
export const FASTEST_MOVER = 30;

/** What keeps a document's pieces from being understood at all: families and settings that are none. */
export function checkPieces(course: Course): Finding[] {
  const unknown = unknownFamilies(course);
  return unknown.length > 0 ? unknown : settings(course);
}

/**
 * Everything found wrong with a course, errors first.
 * @param progress is told the part of the rules that have been gone through, 0 to 1
 */
export function checkCourse(course: Course, progress?: (part: number) => void): Finding[] {
  registerModels(course);
  const unknown = unknownFamilies(course);
  // The other rules build the pieces, which needs their families.
  if (unknown.length > 0) return unknown;
  return RULES.flatMap((rule, i) => {
    const found = rule(course);
    progress?.((i + 1) / RULES.length);
    return found;
  }).sort((a, b) => Number(a.weight === 'notice') - Number(b.weight === 'notice'));
}

/** Findings of one rule that are told; more of the same kind add nothing. */
const MOST = 24;

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
  const starts = course.pieces.filter((piece) => markOf(piece) === 'start');
  const begun = new Set<number>();
  // Where a run takes one of several, there may be.
  const twice = course.starts
    ? undefined
    : starts.find((start) => begun.size === begun.add(legOf(start)).size);
  if (twice) {
    const where = course.legs ? ` on leg ${legOf(twice)}` : '';
    return [
      about(
        twice,
        'starts',
        'error',
        `There are two starts${where}. Take one away, or say in the rules how runs choose.`,
      ),
    ];
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

/** How far about the start things are looked at that may hold or crush who stands there, m. */
const ABOUT_START = 60;
/** How far a row of what carries one another is followed from there. */
const HOSTS = 60;

/** The pieces about a place, and what carries them; a run of half a second meets no others. */
function around({ pieces }: Course, { at }: Piece): Piece[] {
  const near = new Set(
    pieces.filter((piece) => {
      const { low, high } = pieceBounds(piece);
      return [0, 2].every(
        (axis) => low[axis] < at[axis] + ABOUT_START && high[axis] > at[axis] - ABOUT_START,
      );
    }),
  );
  if (![...near].some(({ attach }) => attach)) return [...near];
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  for (const piece of [...near]) {
    let host = byId.get(piece.attach ?? '');
    for (let i = 0; i < HOSTS && host && !near.has(host); i++) {
      near.add(host);
      host = byId.get(host.attach ?? '');
    }
  }
  return [...near];
}

const startInAir: Check = (course) => {
  const piece = course.pieces.find((one) => markOf(one) === 'start');
  if (!piece) return [];
  // What is loose stands where it was laid: bodies are for runs.
  const pieces = around(course, piece).map((one) =>
    one.loose ? { ...one, loose: undefined } : one,
  );
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
  pieces.some((piece) => markOf(piece) === 'goal')
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
    of.kind === 'way'
      ? topSpeed(inTempo(of, tempo), [0, 0, 0])
      : Math.max(0, ...points.map((p) => topSpeed(inTempo(of, tempo), p)));
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

const checkpointNumbers: Check = ({ pieces }) => {
  const seen = new Set<string>();
  return pieces
    .filter((piece) => {
      if (markOf(piece) !== 'checkpoint') return false;
      const place = `${legOf(piece)} ${checkpointNumber(piece)}`;
      return seen.size === seen.add(place).size;
    })
    .slice(0, MOST)
    .map((piece) =>
      about(
        piece,
        'cairn-numbers',
        'notice',
        `Two checkpoints carry the number ${checkpointNumber(piece)}.`,
      ),
    );
};

const twins: Check = ({ pieces }) => {
  const seen = new Set<string>();
  return pieces
    .filter((piece) => {
      const place = `${piece.family} ${piece.at.map((v) => v.toFixed(2))}`;
      return seen.size === seen.add(place).size;
    })
    .slice(0, MOST)
    .map((piece) =>
      about(piece, 'twins', 'notice', 'Two alike pieces lie in the same place.', {
        label: 'Take one away',
        edit: { do: 'remove', id: piece.id },
      }),
    );
};

const belowTide: Check = (course) => {
  if (course.tide === undefined) return [];
  const { tide } = course;
  return course.pieces
    .filter((piece) => markOf(piece) !== null && pieceBounds(piece).high[1] < tide)
    .map((piece) =>
      about(piece, 'below-tide', 'error', 'Stands below the tide line, where no run can go on.'),
    );
};

const laps: Check = ({ kind, pieces }) =>
  kind === 'laps' && !pieces.some((piece) => markOf(piece) === 'checkpoint')
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
  /** Those whose number fewer of the others have than they need. */
  const alone = (
    list: readonly Piece[],
    others: readonly Piece[],
    needs: number,
    message: (number: number) => string,
  ): Finding[] => {
    const counts = new Map<number, number>();
    for (const other of others) counts.set(numberOf(other), (counts.get(numberOf(other)) ?? 0) + 1);
    return list
      .filter((piece) => (counts.get(numberOf(piece)) ?? 0) < needs)
      .slice(0, MOST)
      .map((piece) => about(piece, 'pairs', 'notice', message(numberOf(piece))));
  };
  const [portals, gates, switches] = [of('portal'), of('gate'), of('switch')];
  // A gate that is opened otherwise needs no switch.
  const paired = gates.filter(
    (piece) => specOf(familyOf(piece.family), piece).choice('opens') === 'pair',
  );
  return [
    ...alone(portals, portals, 2, (n) => `No other portal has the number ${n}; it leads nowhere.`),
    ...alone(paired, switches, 1, (n) => `No switch has the number ${n}; this gate never opens.`),
    ...alone(switches, gates, 1, (n) => `No gate has the number ${n}; this switch opens nothing.`),
  ];
};

const RULES: readonly Check[] = [
  settings,
  start,
  goal,
  named,
  startInAir,
  speed,
  checkpointNumbers,
  twins,
  belowTide,
  laps,
  pairs,
  ...TUNED,
  heavyRun,
  crowds,
  ...JOINTS,
  overlaps,
  seams,
  steps,
];
