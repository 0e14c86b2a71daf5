import type { DrawnShape, MotionKind, Piece, PieceMotion } from '../../course';
import type { Vec3 } from '../../geometry';

// What a piece does, seen in a mirror across its own length: z of its frame is turned about, and so are turns
// about its x and y.

const across = ([x, y, z]: Vec3): [number, number, number] => [x, y, -z + 0];
const turned = ([a, b, c]: Vec3): [number, number, number] => [-a + 0, -b + 0, c];

type MotionOf<K extends MotionKind> = Extract<PieceMotion, { readonly kind: K }>;

const same = <T>(motion: T): T => motion;

/** A turn about an axis in the mirror goes the other way round, but about z. */
const roundBack = <M extends MotionOf<'spin' | 'circle'>>({ reverse, ...rest }: M): M => {
  const back = rest.axis === 'z' ? reverse : reverse ? undefined : true;
  return (back ? { ...rest, reverse: back } : rest) as M;
};

/** Each kind of motion as its mirror image. */
const MIRRORED: { readonly [K in MotionKind]: (motion: MotionOf<K>) => MotionOf<K> } = {
  path: (motion) => ({ ...motion, points: motion.points.map(across) }),
  poses: (motion) => ({
    ...motion,
    poses: motion.poses.map((pose) => ({
      ...pose,
      at: across(pose.at),
      ...(pose.turn ? { turn: turned(pose.turn) } : {}),
    })),
  }),
  swing: (motion) => ({
    ...motion,
    ...(motion.pivot ? { pivot: across(motion.pivot) } : {}),
    // To the other side first is half a period on.
    ...(motion.axis === 'z' ? {} : { phase: ((motion.phase ?? 0) + 0.5) % 1 }),
  }),
  spin: (motion) => ({
    ...roundBack(motion),
    ...(motion.pivot ? { pivot: across(motion.pivot) } : {}),
  }),
  circle: roundBack,
  drift: (motion) => ({
    ...motion,
    velocity: across(motion.velocity),
    ...(motion.spread ? { spread: across(motion.spread) } : {}),
  }),
  arrive: (motion) => ({
    ...motion,
    from: across(motion.from),
    ...(motion.turn ? { turn: turned(motion.turn) } : {}),
  }),
  hop: same,
  bob: same,
  chase: same,
};

/** A motion seen in the mirror. */
export const mirroredMotion = (motion: PieceMotion): PieceMotion =>
  (MIRRORED[motion.kind] as (motion: PieceMotion) => PieceMotion)(motion);

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
