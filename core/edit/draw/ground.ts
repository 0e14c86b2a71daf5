import { MOST_PATCHES, type Course, type Patch, type Piece } from '../../course';
import { clipConvex, dot, rotate, signedArea, type Vec2, type Vec3 } from '../../geometry';
import { facetsOf, localGeometry, toWorld, turnOf, type Tone } from '../../pieces';
import { piecesOver } from '../lookup/near';
import type { Paint } from '../pieces/paint';
import { roundToStored } from '../pieces/place';

/** Part of its reach by which a patch has to lie off another alike for it to be worth laying. */
const APART = 0.4;

/**
 * The course with a patch of paint on its ground; what it covers wholly is gone. With each piece's own paint the
 * patches there are wiped off instead.
 * @param course the course as it is; it stays so
 * @param at where the brush is, in the world, m
 * @param reach half its width, m
 * @param paint a material or a colour
 * @throws RangeError in words when the ground has as many as it may
 */
export function paintGround(course: Course, at: Vec3, reach: number, paint: Paint): Course {
  const before = course.ground ?? [];
  if (paint === 'own') {
    return withGround(
      course,
      before.filter((patch) => away(patch, at) > reach),
    );
  }
  const tone = 'material' in paint ? paint.material : paint.colour;
  const alike = (patch: Patch) =>
    patch.tone === tone && patch.reach >= reach && away(patch, at) < reach * APART;
  // A stroke that rests lays no more than it has to; what lies under others is not seen any more.
  if (before.slice(-3).some(alike)) return course;
  const kept = before.filter((patch) => away(patch, at) + patch.reach > reach);
  if (kept.length >= MOST_PATCHES) {
    throw new RangeError(`The ground has ${MOST_PATCHES} patches of paint; wipe some off first.`);
  }
  const place = [roundToStored(at[0]), roundToStored(at[1]), roundToStored(at[2])] as [
    number,
    number,
    number,
  ];
  return withGround(course, [
    ...kept,
    { at: place, reach: roundToStored(reach), tone: tone as Patch['tone'] },
  ]);
}

const away = ({ at }: Patch, p: Vec3): number =>
  Math.hypot(at[0] - p[0], at[1] - p[1], at[2] - p[2]);

function withGround(course: Course, ground: Patch[]): Course {
  if (ground.length === (course.ground?.length ?? 0) && ground.length === 0) return course;
  const { ground: _, ...rest } = course;
  return ground.length > 0 ? { ...rest, ground } : (rest as Course);
}

/** A flat bit of paint as it lies on the tops of pieces. */
export interface PaintedFace {
  readonly points: readonly Vec3[];
  readonly normal: Vec3;
  readonly tone: Tone;
}

/** Corners of a patch: enough to look round, few enough to be cut. */
const CORNERS = 14;
/** How unlike a circle it is, as a part of its reach. */
const ROUGH = 0.09;
/** Upward part of a normal from which a face is ground. */
const LEVEL = 0.5;
/** How far above or below where it was put on a top is still painted, m. */
const DEEP = 0.6;
/** How far paint lies above the stone, and each patch above the one before, m. */
const [LIFT, LAYER] = [0.006, 4e-6];

/** All the paint of a ground, cut to the tops it lies on; what moves takes none along. */
export function paintedFaces(course: Pick<Course, 'ground' | 'pieces'>): PaintedFace[] {
  const faces: PaintedFace[] = [];
  (course.ground ?? []).forEach((patch, order) => {
    const { at, reach, tone } = patch;
    const outline = roundOf(patch);
    const lift = LIFT + order * LAYER;
    for (const piece of piecesOver(
      course.pieces,
      at[0] - reach,
      at[2] - reach,
      at[0] + reach,
      at[2] + reach,
    )) {
      for (const { points, normal, plan } of topsOf(piece)) {
        const height = ([x, z]: Vec2) =>
          (dot(normal, points[0]) - normal[0] * x - normal[2] * z) / normal[1];
        if (Math.abs(height([at[0], at[2]]) - at[1]) > DEEP) continue;
        const cut = clipConvex(outline, plan);
        if (cut.length < 3) continue;
        faces.push({
          points: cut.map(([x, z]): Vec3 => [x, height([x, z]) + lift, z]),
          normal,
          tone: tone as Tone,
        });
      }
    }
  });
  return faces;
}

/** The outline of a patch over the map: a circle that was drawn by hand, and always the same for a place. */
function roundOf({ at, reach }: Patch): Vec2[] {
  return Array.from({ length: CORNERS }, (_, i): Vec2 => {
    const a = (i * 2 * Math.PI) / CORNERS;
    const r = reach * (1 - ROUGH + ROUGH * Math.sin(i * 2.4 + at[0] * 3.1 + at[2] * 1.7));
    // Against the way from x to z, so that faces look up.
    return [at[0] + r * Math.cos(a), at[2] - r * Math.sin(a)];
  });
}

interface Top {
  readonly points: readonly Vec3[];
  readonly normal: Vec3;
  /** Over the map, with its inside to the left. */
  readonly plan: readonly Vec2[];
}
const topsByPiece = new WeakMap<Piece, Top[]>();

function topsOf(piece: Piece): Top[] {
  let known = topsByPiece.get(piece);
  if (!known) topsByPiece.set(piece, (known = makeTops(piece)));
  return known;
}

function makeTops(piece: Piece): Top[] {
  const form = localGeometry(piece);
  if (piece.motion || piece.loose || piece.attach || form.motion) return [];
  const [place, turn] = [toWorld(piece), turnOf(piece)];
  return facetsOf(form.parts.filter(({ moving }) => !moving)).flatMap((facet): Top[] => {
    const normal = rotate(turn, facet.normal);
    if (normal[1] < LEVEL) return [];
    const points = facet.points.map(place);
    const plan = points.map(([x, , z]): Vec2 => [x, z]);
    return [{ points, normal, plan: signedArea(plan) < 0 ? [...plan].reverse() : plan }];
  });
}
