import type { DrawnShape, Piece, PieceMotion } from '../../course';
import type { Vec3 } from '../../geometry';

// What a piece does, seen in a mirror across its own length: z of its frame is turned about, and so are turns
// about its x and y.

const across = ([x, y, z]: Vec3): [number, number, number] => [x, y, -z + 0];
const turned = ([a, b, c]: Vec3): [number, number, number] => [-a + 0, -b + 0, c];

/** A motion seen in the mirror. */
export function mirroredMotion(motion: PieceMotion): PieceMotion {
  switch (motion.kind) {
    case 'path':
      return { ...motion, points: motion.points.map(across) };
    case 'poses':
      return {
        ...motion,
        poses: motion.poses.map((pose) => ({
          ...pose,
          at: across(pose.at),
          ...(pose.turn ? { turn: turned(pose.turn) } : {}),
        })),
      };
    case 'swing':
      return {
        ...motion,
        ...(motion.pivot ? { pivot: across(motion.pivot) } : {}),
        // To the other side first is half a period on.
        ...(motion.axis === 'z' ? {} : { phase: ((motion.phase ?? 0) + 0.5) % 1 }),
      };
    case 'spin':
    case 'circle': {
      const { reverse, ...rest } = motion;
      const image =
        rest.kind === 'spin' && rest.pivot ? { ...rest, pivot: across(rest.pivot as Vec3) } : rest;
      const back = motion.axis === 'z' ? reverse : reverse ? undefined : true;
      return (back ? { ...image, reverse: back } : image) as PieceMotion;
    }
    case 'drift':
      return {
        ...motion,
        velocity: across(motion.velocity),
        ...(motion.spread ? { spread: across(motion.spread) } : {}),
      };
    case 'arrive':
      return {
        ...motion,
        from: across(motion.from),
        ...(motion.turn ? { turn: turned(motion.turn) } : {}),
      };
    case 'hop':
    case 'bob':
    case 'chase':
      return motion;
  }
}

/** Whether a drawn shape lies to one side of its piece's middle. */
export const isLopsided = (shape: DrawnShape | undefined): boolean =>
  shape?.parts.some((part) =>
    part.kind === 'ball' || part.kind === 'box' ? part.at[2] !== 0 : (part.across ?? 0) !== 0,
  ) ?? false;

/** A vector of the world seen in an upright plane's mirror. */
export const mirroredVector = ([x, y, z]: Vec3, axis: 'x' | 'z'): [number, number, number] =>
  axis === 'x' ? [-x + 0, y, z] : [x, y, -z + 0];

/** What a piece does, seen in the mirror; its form is another matter. */
export const mirroredBehaviour = <T extends Pick<Piece, 'motion'>>(piece: T): T =>
  piece.motion ? { ...piece, motion: piece.motion.map(mirroredMotion) } : piece;
