import {
  box,
  mapPoints,
  prism,
  rotate,
  turnMatrix,
  type Polyhedron,
  type Swept,
  type Vec2,
  type Vec3,
  cosDeg,
  sinDeg,
} from '../geometry';
import type {
  ChoiceParam,
  NumberParam,
  OwnMotion,
  Part,
  PieceGeometry,
  Role,
  Shape,
  Socket,
  Surface,
  Tone,
} from './family';

// What the families are made with: short names for the settings and solids that recur in them.

/**
 * A setting in any unit.
 * @param key by which it is kept
 * @param label its words
 * @param unit of its value
 * @param initial the usual value
 * @param range the least, the most, and the step between
 */
export const number = (
  key: string,
  label: string,
  unit: NumberParam['unit'],
  initial: number,
  [min, max, step]: readonly [number, number, number],
): NumberParam => ({ kind: 'number', key, label, unit, initial, min, max, step });

/**
 * @param key by which it is kept
 * @param label what it is called
 * @param initial m
 * @param min m
 * @param max m
 * @param step m
 */
export const metres = (
  key: string,
  label: string,
  initial: number,
  min: number,
  max: number,
  step = 0.25,
): NumberParam => ({ kind: 'number', key, label, unit: 'm', initial, min, max, step });

/**
 * @param key by which it is kept
 * @param label what it is called
 * @param initial degrees
 * @param min degrees
 * @param max degrees
 * @param step degrees
 */
export const degrees = (
  key: string,
  label: string,
  initial: number,
  min: number,
  max: number,
  step = 7.5,
): NumberParam => ({ kind: 'number', key, label, unit: '°', initial, min, max, step });

export const seconds = (key: string, label: string, initial: number): NumberParam => ({
  kind: 'number',
  key,
  label,
  unit: 's',
  initial,
  min: 0.5,
  max: 60,
  step: 0.1,
});

/**
 * @param key by which it is kept
 * @param label what it is called
 * @param initial the usual value
 * @param min the least it may be
 * @param max the most it may be
 */
export const count = (
  key: string,
  label: string,
  initial: number,
  min: number,
  max: number,
): NumberParam => ({ kind: 'number', key, label, unit: '', initial, min, max, step: 1 });

export const oneOf = (
  key: string,
  label: string,
  options: Readonly<Record<string, string>>,
): ChoiceParam => ({
  kind: 'choice',
  key,
  label,
  options: Object.entries(options).map(([value, text]) => ({ value, label: text })),
  initial: Object.keys(options)[0],
});

/** A solid with what it is: drawn in a tone, touching in a role; either may be missing. */
export interface PartSpec {
  readonly solid: Polyhedron;
  readonly tone?: Tone | null;
  readonly role?: Role | null;
  /** Whether the solid is closed but not convex; such a one is only drawn. */
  readonly mesh?: boolean;
  /** What touches instead of the solid that is drawn. */
  readonly shape?: Polyhedron;
  /** What rolls touches instead, where flat faces only stand for it. */
  readonly swept?: Swept;
  readonly moving?: boolean;
  readonly surface?: Surface;
  readonly lock?: Shape['lock'];
}

/**
 * A piece from its bits: solid in the piece's own tone unless they say otherwise.
 * @param tone of all that names none
 * @param bits its solids, in its own frame
 * @param sockets its open ends
 * @param motion of its moving parts
 */
export function pieceFrom(
  tone: Tone,
  bits: readonly PartSpec[],
  sockets: readonly Socket[] = [],
  motion?: OwnMotion,
): PieceGeometry {
  const parts: Part[] = [];
  const shapes: Shape[] = [];
  for (const bit of bits) {
    const { moving } = bit;
    if (bit.tone !== null) {
      const mesh = bit.mesh ? { mesh: true } : {};
      parts.push({ solid: bit.solid, tone: bit.tone ?? tone, moving, ...mesh });
    }
    if (bit.role !== null) {
      shapes.push({
        role: bit.role ?? 'solid',
        moving,
        ...(bit.surface ? { surface: bit.surface } : {}),
        ...(bit.lock ? { lock: bit.lock } : {}),
        form: {
          kind: 'hull',
          solid: bit.shape ?? bit.solid,
          ...(bit.swept ? { swept: bit.swept } : {}),
        },
      });
    }
  }
  return { parts, shapes, sockets, ...(motion ? { motion } : {}) };
}

/** Solids that are only looked at. */
export const decoration = (tone: Tone, ...solids: Polyhedron[]): PartSpec[] =>
  solids.map((solid) => ({ solid, tone, role: null }));

export const at = (solid: Polyhedron, [x, y, z]: Vec3): Polyhedron =>
  mapPoints(solid, (p) => [p[0] + x, p[1] + y, p[2] + z]);

/** The solid turned by degrees about x, y and z through the origin. */
export function turned(solid: Polyhedron, turn: Vec3): Polyhedron {
  const m = turnMatrix(turn);
  return mapPoints(solid, (p) => rotate(m, p));
}

/** A box standing on its foot's middle. */
export const standingBox = ([w, h, d]: Vec3): Polyhedron =>
  box([-w / 2, 0, -d / 2], [w / 2, h, d / 2]);

/** A box by its middle and its extents. */
export const boxAt = ([x, y, z]: Vec3, [w, h, d]: Vec3): Polyhedron =>
  box([x - w / 2, y - h / 2, z - d / 2], [x + w / 2, y + h / 2, z + d / 2]);

/** A box with its upper rim cut, never by more than a quarter of its smallest extent. */
export const cutSlab = ([w, h, d]: Vec3, bevel: number): Polyhedron =>
  prism(
    [
      [-w / 2, -d / 2],
      [w / 2, -d / 2],
      [w / 2, d / 2],
      [-w / 2, d / 2],
    ],
    0,
    h,
    Math.min(bevel, w / 4, h / 4, d / 4),
  );

/** An ellipse's corners, the first edge square to x. */
export const roundOutline = (w: number, d: number, sides: number): Vec2[] =>
  Array.from({ length: sides }, (_, i): Vec2 => {
    const angle = ((i + 0.5) * 360) / sides;
    const reach = 0.5 / cosDeg(180 / sides);
    return [w * reach * cosDeg(angle), d * reach * sinDeg(angle)];
  });

/**
 * Quarters of a ring, as convex outlines of four corners.
 * @param w width, m
 * @param d depth, m
 * @param part the inner rim as a part of the outer one, 0 to 1
 * @param sides corners all round
 * @param from degrees where it begins
 * @param to degrees where it ends
 */
export function ringOutlines(
  w: number,
  d: number,
  part: number,
  sides: number,
  from = 0,
  to = 360,
): Vec2[][] {
  const corner = (i: number, k: number): Vec2 => {
    const angle = from + ((to - from) * i) / sides;
    return [(w / 2) * k * cosDeg(angle), (d / 2) * k * sinDeg(angle)];
  };
  return Array.from({ length: sides }, (_, i) => [
    corner(i, part),
    corner(i, 1),
    corner(i + 1, 1),
    corner(i + 1, part),
  ]);
}

/** Solids between an even pair of heights over a strip: columns of an arch, a bridge, a dome's cut. */
export function columns(
  xs: readonly number[],
  low: (x: number) => number,
  high: (x: number) => number,
): Vec2[][] {
  return xs.slice(1).map((x1, i) => {
    const x0 = xs[i];
    return [
      [x0, low(x0)],
      [x1, low(x1)],
      [x1, high(x1)],
      [x0, high(x0)],
    ];
  });
}

/** Numbers from a to b in so many even steps. */
export const evenly = (a: number, b: number, steps: number): number[] =>
  Array.from({ length: steps + 1 }, (_, i) => a + ((b - a) * i) / steps);

/** The four sides of a flat top. */
export const rimSockets = ([w, h, d]: Vec3): Socket[] => [
  { at: [w / 2, h, 0], heading: 0, kind: 'rim' },
  { at: [-w / 2, h, 0], heading: 180, kind: 'rim' },
  { at: [0, h, d / 2], heading: 270, kind: 'rim' },
  { at: [0, h, -d / 2], heading: 90, kind: 'rim' },
];

/** The low and the high end of something that rises along x. */
export const riseSockets = ([w, h]: Vec3): Socket[] => [
  { at: [-w / 2, 0, 0], heading: 180, kind: 'rim' },
  { at: [w / 2, h, 0], heading: 0, kind: 'rim' },
];

/** The two ends of something that is gone along, at a height. */
export const endSockets = (w: number, h: number, kind: Socket['kind'] = 'rim'): Socket[] => [
  { at: [w / 2, h, 0], heading: 0, kind },
  { at: [-w / 2, h, 0], heading: 180, kind },
];

/** A number that looks grown but is always the same for the same marks, 0 to 1. */
export function hashNoise(...marks: number[]): number {
  let h = 0x2545f491;
  for (const mark of marks) h = Math.imul(h ^ Math.round(mark * 97), 0x9e3779b1) ^ (h >>> 13);
  return ((h >>> 8) & 1023) / 1023;
}

/** How much smaller than its picture a hazard's shape is on every side, metres. */
export const HAZARD_ALLOWANCE = 0.06;
