import type { Course, Piece } from '../../course';
import { isWithin, type Vec2 } from '../../geometry';
import { familyOf, pieceBounds, planOutlines } from '../../pieces';
import { layPieces, removePieces, type PieceInHand } from '../pieces/lay';
import { changePieces, roundToStored } from '../pieces/place';

/** Most cells filled by one stroke. */
export const MOST_CELLS = 2000;

/** Cells of a floor: their size over the map and how they lie on the plane. */
interface Cells {
  readonly w: number;
  readonly d: number;
  readonly level: number;
  readonly turn: number;
}

function cellsOf(floor: PieceInHand, level: number): Cells {
  const [w, , d] = floor.size ?? familyOf(floor.family).size;
  const turn = floor.turn?.[1] ?? 0;
  // A quarter turn exchanges width and depth; between, the cells stay square to the map.
  const quarter = Math.round(turn / 90) % 2 !== 0;
  return { w: quarter ? d : w, d: quarter ? w : d, level, turn };
}

const cellOf = ({ w, d }: Cells, [x, z]: Vec2): [number, number] => [
  Math.floor(x / w),
  Math.floor(z / d),
];
const middleOf = ({ w, d }: Cells, i: number, k: number): Vec2 => [(i + 0.5) * w, (k + 0.5) * d];
const keyOf = (i: number, k: number): string => `${i} ${k}`;

/** Floors at the level, by the cell their middle stands in. */
function floorsAt(course: Course, cells: Cells): Map<string, Piece> {
  const found = new Map<string, Piece>();
  for (const piece of course.pieces) {
    if (familyOf(piece.family).group !== 'floors' || piece.outline) continue;
    if (Math.abs(piece.at[1] - cells.level) > 0.05) continue;
    found.set(keyOf(...cellOf(cells, [piece.at[0], piece.at[2]])), piece);
  }
  return found;
}

/** The cells whose middle lies within a region of the map. */
function cellsWithin(cells: Cells, region: readonly Vec2[]): [number, number][] {
  const xs = region.map(([x]) => x);
  const zs = region.map(([, z]) => z);
  const [i0, k0] = cellOf(cells, [Math.min(...xs), Math.min(...zs)]);
  const [i1, k1] = cellOf(cells, [Math.max(...xs), Math.max(...zs)]);
  if ((i1 - i0 + 1) * (k1 - k0 + 1) > 50 * MOST_CELLS) throw tooMany();
  const found: [number, number][] = [];
  for (let i = i0; i <= i1; i++) {
    for (let k = k0; k <= k1; k++) if (isWithin(region, middleOf(cells, i, k))) found.push([i, k]);
  }
  if (found.length > MOST_CELLS) throw tooMany();
  return found;
}

const tooMany = () =>
  new RangeError(`That area takes more than ${MOST_CELLS} pieces; fill it in parts.`);

/** Every cell from one corner of a rectangle to the other, both included. */
export function rectangle(floor: PieceInHand, a: Vec2, b: Vec2): Vec2[] {
  const cells = cellsOf(floor, 0);
  const [i0, k0] = cellOf(cells, [Math.min(a[0], b[0]), Math.min(a[1], b[1])]);
  const [i1, k1] = cellOf(cells, [Math.max(a[0], b[0]), Math.max(a[1], b[1])]);
  const [x0, z0] = [i0 * cells.w, k0 * cells.d];
  const [x1, z1] = [(i1 + 1) * cells.w, (k1 + 1) * cells.d];
  return [
    [x0, z0],
    [x1, z0],
    [x1, z1],
    [x0, z1],
  ];
}

/**
 * Fills a region of the map with a floor, one piece a cell; cells that have a floor keep it.
 * @param course the course as it is; it stays so
 * @param floor the floor it is made of
 * @param level height of the tops, m
 * @param region corners of a ring over the map, x and z in m
 * @throws RangeError when it would take too many pieces
 */
export function fillArea(
  course: Course,
  floor: PieceInHand,
  level: number,
  region: readonly Vec2[],
): Course {
  const cells = cellsOf(floor, level);
  return layCells(course, floor, cells, cellsWithin(cells, region));
}

function layCells(
  course: Course,
  floor: PieceInHand,
  cells: Cells,
  wanted: readonly (readonly [number, number])[],
): Course {
  const there = floorsAt(course, cells);
  const laid = wanted
    .filter(([i, k]) => !there.has(keyOf(i, k)))
    .map(([i, k]): PieceInHand => {
      const [x, z] = middleOf(cells, i, k);
      return { ...floor, at: [roundToStored(x), cells.level, roundToStored(z)] };
    });
  return laid.length === 0 ? course : edgeFloors(layPieces(course, laid), floor, cells.level);
}

/**
 * Takes the floors within a region of the map away again.
 * @param course the course as it is; it stays so
 * @param floor the floor it is made of
 * @param at height of the tops, m
 * @param region corners of a ring over the map, x and z in m
 */
export function carveArea(
  course: Course,
  floor: PieceInHand,
  at: number,
  region: readonly Vec2[],
): Course {
  const cells = cellsOf(floor, at);
  const there = floorsAt(course, cells);
  const gone = new Set(
    cellsWithin(cells, region).flatMap(([i, k]) => there.get(keyOf(i, k))?.id ?? []),
  );
  return gone.size === 0 ? course : edgeFloors(removePieces(course, gone), floor, at);
}

/** Cells a flood may spread from where it began before the outline counts as open. */
const FLOOD = 60;

/**
 * Fills everything within a closed outline of pieces from one place: the flood stops at cells that
 * anything but scenery stands in at the level.
 * @param course the course as it is; it stays so
 * @param floor the floor it is made of
 * @param at height of the tops, m
 * @param from a place within what is filled, x and z in m
 * @throws RangeError when the outline is not closed, or the place is not free
 */
export function floodArea(course: Course, floor: PieceInHand, at: number, from: Vec2): Course {
  const cells = cellsOf(floor, at);
  const [i0, k0] = cellOf(cells, from);
  if (barred(course, cells, [i0, k0], [i0, k0])) {
    throw new RangeError('Something stands there already.');
  }
  const filled = new Map([[keyOf(i0, k0), [i0, k0] as [number, number]]]);
  const edge: [number, number][] = [[i0, k0]];
  while (edge.length > 0) {
    const [i, k] = edge.pop()!;
    for (const [di, dk] of [
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
    ] as const) {
      const [ni, nk] = [i + di, k + dk];
      const key = keyOf(ni, nk);
      if (filled.has(key) || barred(course, cells, [i, k], [ni, nk])) continue;
      if (Math.abs(ni - i0) > FLOOD || Math.abs(nk - k0) > FLOOD || filled.size >= MOST_CELLS) {
        throw new RangeError('The outline around that place is not closed.');
      }
      filled.set(key, [ni, nk]);
      edge.push([ni, nk]);
    }
  }
  return layCells(course, floor, cells, [...filled.values()]);
}

/** Whether something at the level stands between the middles of two cells, or in a cell's own. */
function barred(course: Course, cells: Cells, a: [number, number], b: [number, number]): boolean {
  const ends = [middleOf(cells, ...a), middleOf(cells, ...b)];
  const [xs, zs] = [0, 1].map((axis) => ends.map((p) => p[axis]));
  // A narrow strip from middle to middle.
  const low: Vec2 = [Math.min(...xs) - STRIP, Math.min(...zs) - STRIP];
  const high: Vec2 = [Math.max(...xs) + STRIP, Math.max(...zs) + STRIP];
  return barredBy(course, cells.level).some(
    (bar) =>
      bar.low[0] < high[0] &&
      bar.high[0] > low[0] &&
      bar.low[2] < high[1] &&
      bar.high[2] > low[1] &&
      bar.outlines.some((outline) => overlaps(outline, low, high)),
  );
}
const STRIP = 0.05;

interface Bar {
  readonly low: readonly number[];
  readonly high: readonly number[];
  readonly outlines: readonly (readonly Vec2[])[];
}
const bars = new WeakMap<readonly Piece[], Map<number, Bar[]>>();

function barredBy({ pieces }: Course, at: number): Bar[] {
  let known = bars.get(pieces);
  if (!known) {
    known = new Map();
    bars.set(pieces, known);
  }
  let list = known.get(at);
  if (!list) {
    list = pieces.flatMap((piece): Bar[] => {
      if (familyOf(piece.family).group === 'scenery') return [];
      const { low, high } = pieceBounds(piece);
      if (high[1] < at + 0.02 || low[1] > at + 1) return [];
      return [{ low, high, outlines: planOutlines(piece) }];
    });
    known.set(at, list);
  }
  return list;
}

/** Whether a convex outline and a rectangle overlap: no axis parts them. */
function overlaps(outline: readonly Vec2[], low: Vec2, high: Vec2): boolean {
  const box: Vec2[] = [low, high].flatMap(([x]) => [low, high].map(([, z]): Vec2 => [x, z]));
  const axes = outline.map((p, n): Vec2 => {
    const q = outline[(n + 1) % outline.length];
    return [p[1] - q[1], q[0] - p[0]];
  });
  return [[1, 0] as Vec2, [0, 1] as Vec2, ...axes].every(([x, z]) => {
    const along = (points: readonly Vec2[]) => points.map((p) => p[0] * x + p[1] * z);
    const [a, b] = [along(outline), along(box)];
    return Math.min(...a) < Math.max(...b) && Math.max(...a) > Math.min(...b);
  });
}

/** Sides of an edged floor, as bits of its setting: +x, +z, -x, -z. */
const SIDES = [
  [1, 0],
  [0, 1],
  [-1, 0],
  [0, -1],
] as const;

/** Gives every edged floor at a level kerbs on the sides where no other floor goes on. */
function edgeFloors(course: Course, floor: PieceInHand, at: number): Course {
  if (floor.family !== 'court') return course;
  const cells = cellsOf(floor, at);
  const there = floorsAt(course, cells);
  const edges = new Map<string, number>();
  for (const piece of there.values()) {
    if (piece.family !== 'court') continue;
    const [i, k] = cellOf(cells, [piece.at[0], piece.at[2]]);
    const quarter = Math.round((piece.turn?.[1] ?? 0) / 90);
    let bits = 0;
    SIDES.forEach(([di, dk], side) => {
      // The sides are the piece's own: a quarter turn to the left takes +x to -z.
      if (!there.has(keyOf(i + di, k + dk))) bits |= 1 << ((side + quarter + 8) % 4);
    });
    if ((piece.params?.edges ?? 0) !== bits) edges.set(piece.id, bits);
  }
  if (edges.size === 0) return course;
  return changePieces(course, new Set(edges.keys()), (piece) => {
    const { edges: _, ...others } = piece.params ?? {};
    const bits = edges.get(piece.id)!;
    const params = bits === 0 ? others : { ...others, edges: bits };
    if (Object.keys(params).length > 0) piece.params = params;
    else delete piece.params;
  });
}
