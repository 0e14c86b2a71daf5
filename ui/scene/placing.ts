import type { Piece } from '@/core/course';
import { add, dot, rotate, scale, sub, type Vec3 } from '@/core/geometry';
import { localGeometry, toWorld, turnOf } from '@/core/pieces';
import { applyPose, type Pose, STILL, TICKS_PER_SECOND } from '@/core/motion';
import { turns, type Baked } from './bake';
import type { FrameState } from './frameState';

/** A piece, or a part of one, within the geometry that it shares with others. */
export interface Item {
  readonly piece: Piece;
  readonly baked: Baked;
  readonly whole: boolean;
  readonly facetFrom: number;
  readonly lineFrom: number;
  /** What it was last written by, so that what stays is not written again. */
  pose: Pose | null;
  carried: Vec3;
  gone: boolean;
}

/** Degrees a second that pickups turn. */
const TURN_RATE = 80;

/**
 * Writes an item's corners where the moment has them.
 * @param carried how far what is drawn is moved as a whole, m: poses are where it is moved to
 * @param facets x, y, z of the corners of all items, m
 * @param lines the same of the ends of their lines
 * @returns whether anything was written
 */
export function place(
  item: Item,
  { tick, posing, gone, lively }: FrameState,
  carried: Vec3,
  facets: Float32Array,
  lines: Float32Array,
): boolean {
  const { piece, baked, whole } = item;
  const poses = posing(piece.id);
  const pose = whole ? poses.whole : poses.part;
  const away = gone.has(piece.id);
  const spins = lively && !away && turns(piece);
  const stays = pose === STILL || item.carried === carried;
  if (!spins && item.pose === pose && item.gone === away && stays) return false;
  item.carried = carried;
  item.pose = spins ? null : pose;
  item.gone = away;
  const angle = spins ? ((tick / TICKS_PER_SECOND) * TURN_RATE * Math.PI) / 180 + piece.at[0] : 0;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const [ox, oy, oz] = piece.at;
  const mouth = whole || away ? null : mouthOf(piece, poses.whole, carried);
  const write = (out: Float32Array, from: number, rest: Float32Array) => {
    for (let i = 0; i < rest.length; i += 3) {
      let [x, y, z] = away ? [ox, oy, oz] : [rest[i], rest[i + 1], rest[i + 2]];
      if (spins) [x, z] = [ox + c * (x - ox) + s * (z - oz), oz + c * (z - oz) - s * (x - ox)];
      if (pose !== STILL) {
        [x, y, z] = sub(applyPose(pose, add([x, y, z], carried)), carried);
      }
      if (mouth) {
        const { at, up } = mouth;
        const under = dot(sub(at, [x, y, z]), up);
        // What lies below the ground it comes out of is drawn in as far as that.
        if (under > 0) [x, y, z] = add([x, y, z], scale(up, under));
      }
      out[from + i] = x;
      out[from + i + 1] = y;
      out[from + i + 2] = z;
    }
  };
  write(facets, item.facetFrom, baked.positions);
  write(lines, item.lineFrom, baked.lines);
  return true;
}

/** Drawn a hair above the ground, so that what is in shows as a patch on it, m. */
const HAIR = 0.004;

/** Where what moves of a piece comes up out of its foot, as its carrier has it, and which way is up there. */
function mouthOf(piece: Piece, whole: Pose, carried: Vec3): { at: Vec3; up: Vec3 } | null {
  const { mouth } = localGeometry(piece);
  if (mouth === undefined) return null;
  const rest = toWorld(piece)([0, mouth + HAIR, 0]);
  return {
    at: sub(applyPose(whole, add(rest, carried)), carried),
    up: rotate(whole.turn, rotate(turnOf(piece), [0, 1, 0])),
  };
}
