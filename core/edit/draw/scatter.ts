import type { Course, Piece } from '../../course';
import { isWithin, seeded, type Vec2, type Vec3 } from '../../geometry';
import { familyOf } from '../../pieces';
import { groundBelow } from '../lookup/pick';
import { layPieces, removePieces, type PieceInHand } from '../pieces/lay';
import { setTurn, roundToStored } from '../pieces/place';

/** A part of the map: within a ring of corners, or within reach of a stroke, metres. */
export type MapRegion =
  { readonly ring: readonly Vec2[] } | { readonly stroke: readonly Vec2[]; readonly reach: number };

/** How pieces are scattered. */
export interface Scattering {
  readonly families: readonly string[];
  /** Pieces to ten square metres. */
  readonly density: number;
  /** Parts of the usual size by which sizes differ, 0 to 0.9. */
  readonly sizeSpread: number;
  /** Degrees to either side by which headings differ. */
  readonly turnSpread: number;
  /** Degrees by which pieces lean at most. */
  readonly lean: number;
  /** What is scattered follows from it: the same stroke with the same seed is the same. */
  readonly seed: number;
  /** Metres kept clear to either side of the way. */
  readonly margin: number;
}

export const MOST_SCATTERED = 400;
/** A stroke across a wide map fills little of its extent: many places are tried for each that is in it. */
const MOST_TRIES = 60 * MOST_SCATTERED;

/**
 * Scatters pieces over a region of the map, standing on what is below, or on the level where that is
 * open; nothing within the margin of the way or of a mark, nothing on top of something scattered before.
 * @param course the course as it is; it stays so
 * @param region corners of a ring over the map, x and z in m
 * @param level height of the tops, m
 * @param way places along the way to keep clear of
 * @throws RangeError when it would be too many, or no family is named
 */
export function scatterPieces(
  course: Course,
  region: MapRegion,
  level: number,
  { families, density, sizeSpread, turnSpread, lean, seed, margin }: Scattering,
  way: readonly Vec3[] = [],
): Course {
  if (families.length === 0) throw new RangeError('Choose at least one piece to scatter.');
  const [x0, x1, z0, z1] = extentOf(region);
  const tries = Math.round(((x1 - x0) * (z1 - z0) * density) / 10);
  if (!Number.isFinite(tries) || tries > MOST_TRIES) throw tooMany();
  // Nothing stands in the way of beginnings, checkpoints and goals either, wherever the way goes.
  const clear: Vec2[][] = [
    way.map(([x, , z]) => [x, z]),
    ...course.pieces.filter(isMark).map(({ at }): Vec2[] => [[at[0], at[2]]]),
  ];
  const next = seeded(seed);
  const laid: PieceInHand[] = [];
  const apart = 0.35 / Math.sqrt(Math.max(density, 0.01) / 10);
  for (let i = 0; i < tries; i++) {
    // Every try takes the same numbers, so that a margin or a neighbour changes only what it hides.
    const p: Vec2 = [x0 + (x1 - x0) * next(), z0 + (z1 - z0) * next()];
    const [pick, grow, turn, leanX, leanZ] = [next(), next(), next(), next(), next()];
    if (!inRegion(region, p) || clear.some((line) => nearLine(line, p, margin))) continue;
    if (laid.some(({ at }) => Math.hypot(at[0] - p[0], at[2] - p[1]) < apart)) continue;
    const family = familyOf(families[Math.floor(pick * families.length)]);
    const k = 1 + sizeSpread * (2 * grow - 1);
    const ground = groundBelow(course, [p[0], level, p[1]]) ?? level;
    const piece: PieceInHand = {
      family: family.id,
      at: [tidy3(p[0]), tidy3(ground), tidy3(p[1])],
      ...(family.sizable && sizeSpread > 0
        ? { size: family.size.map((v) => Math.max(0.05, tidy3(v * k))) as Piece['size'] }
        : {}),
    };
    setTurn(piece as Piece, [
      Math.round(lean * (2 * leanX - 1)),
      Math.round(((turnSpread * (2 * turn - 1)) % 360) + 360) % 360,
      Math.round(lean * (2 * leanZ - 1)),
    ]);
    laid.push(piece);
    if (laid.length > MOST_SCATTERED) throw tooMany();
  }
  return laid.length === 0 ? course : layPieces(course, laid);
}

/** Starts, checkpoints, goals and what is gone through; not what is gathered. */
const isMark = ({ family }: Piece): boolean => {
  const { group, worth } = familyOf(family);
  return group === 'marks' && worth === undefined;
};

/** Strewn pieces need no finer places than a centimetre. */
const tidy3 = (v: number): number => roundToStored(Math.round(v * 100) / 100);

const tooMany = () =>
  new RangeError(
    `That would be more than ${MOST_SCATTERED} pieces in one stroke; make it smaller.`,
  );

/** Whether a place of the map is in a region. */
export const inRegion = (region: MapRegion, p: Vec2): boolean =>
  'ring' in region ? isWithin(region.ring, p) : nearLine(region.stroke, p, region.reach);

function extentOf(region: MapRegion): [x0: number, x1: number, z0: number, z1: number] {
  const [points, reach] = 'ring' in region ? [region.ring, 0] : [region.stroke, region.reach];
  const xs = points.map(([x]) => x);
  const zs = points.map(([, z]) => z);
  return [
    Math.min(...xs) - reach,
    Math.max(...xs) + reach,
    Math.min(...zs) - reach,
    Math.max(...zs) + reach,
  ];
}

/** Whether a place of the map lies within a distance of a line through others. */
function nearLine(line: readonly Vec2[], [x, z]: Vec2, reach: number): boolean {
  return line.some(([bx, bz], i) => {
    const [ax, az] = line[Math.max(0, i - 1)];
    const [dx, dz] = [bx - ax, bz - az];
    const square = dx * dx + dz * dz;
    const k = square === 0 ? 0 : Math.min(1, Math.max(0, ((x - ax) * dx + (z - az) * dz) / square));
    return Math.hypot(ax + dx * k - x, az + dz * k - z) < reach;
  });
}

/** Takes the scenery within a region of the map away; what is locked stays. */
export const eraseScenery = (course: Course, region: MapRegion): Course => {
  const kept = course.pieces.filter(
    ({ family, at, locked }) =>
      locked || familyOf(family).group !== 'scenery' || !inRegion(region, [at[0], at[2]]),
  );
  return kept.length === course.pieces.length ? course : { ...course, pieces: kept };
};

/**
 * The course with half of some scenery taken away, evenly: of two that stand near each other one stays.
 * @param choice which; all that may be touched when nothing is chosen
 */
export function thinScenery(course: Course, choice: ReadonlySet<string>): Course {
  const thinned = course.pieces.filter(
    ({ id, family, hidden, locked }) =>
      familyOf(family).group === 'scenery' &&
      !hidden &&
      !locked &&
      (choice.size === 0 || choice.has(id)),
  );
  // Along a line that winds back and forth over the map, neighbours follow one another.
  const row = (v: number) => Math.floor(v / ROW);
  const order = [...thinned].sort((a, b) => {
    const [ra, rb] = [row(a.at[2]), row(b.at[2])];
    return ra - rb || (ra % 2 === 0 ? a.at[0] - b.at[0] : b.at[0] - a.at[0]);
  });
  return removePieces(course, new Set(order.filter((_, i) => i % 2 === 1).map(({ id }) => id)));
}

/** Depth of the rows that scenery is gone through in, m. */
const ROW = 3;
