import {
  cosDeg,
  frameAt,
  sinDeg,
  sweepAlong,
  type Frame,
  type Polyhedron,
  type Section,
  type Vec3,
} from '../../../geometry';
import type { PieceGeometry, Spec, Family, Socket, Tone } from '../../family';
import { evenly, metres, oneOf, type PartSpec } from '../../parts';

/** Thickness of a track's bed; its top is what is run on. */
export const BED = 0.3;

/** Width of a kerb and its height over the bed, m; it can be stepped over. */
const KERB = 0.18;

export const KERB_UP = 0.14;

/** Most degrees a curved piece turns between two frames. */
const FACET = 7.5;

const width = metres('width', 'Width', 3, 0.8, 20);

export const side = oneOf('side', 'Turns', { left: 'Left', right: 'Right' });

export const rise = metres('rise', 'Rises by', 0, -40, 40);

/** The bed and kerbs of a way of given width at each frame. */
export function bedAlong(
  frames: readonly Frame[],
  wide: (i: number) => number,
  tone: Tone,
): PartSpec[] {
  const bed = (i: number): Section => {
    const half = wide(i) / 2;
    return [
      [-half, 0],
      [half, 0],
      [half, BED],
      [-half, BED],
    ];
  };
  const kerb =
    (s: 1 | -1) =>
    (i: number): Section => {
      const half = wide(i) / 2;
      const [a, b] = s > 0 ? [half - KERB, half] : [-half, -half + KERB];
      return [
        [a, BED],
        [b, BED],
        [b - (s > 0 ? 0 : 0.05), BED + KERB_UP],
        [a + (s > 0 ? 0.05 : 0), BED + KERB_UP],
      ];
    };
  const bits = (solids: Polyhedron[], t: Tone): PartSpec[] =>
    solids.map((solid) => ({ solid, tone: t }));
  return [
    ...bits(sweepAlong(frames, bed), tone),
    ...bits(sweepAlong(frames, kerb(1)), 'timber'),
    ...bits(sweepAlong(frames, kerb(-1)), 'timber'),
  ];
}

/** The end a way is entered by, its bed beginning at a height. */
export const entry = (height = 0): Socket => ({
  at: [0, height + BED, 0],
  heading: 180,
  kind: 'track',
});

export const BACK = entry();

export const end = (at: Vec3, heading: number, pitch = 0): Socket => ({
  at: [at[0], at[1] + BED, at[2]],
  heading,
  kind: 'track',
  ...(pitch ? { pitch } : {}),
});

/**
 * A way that bends.
 * @param from where it begins, m in the piece's own frame
 * @param heading where it leads there, degrees
 * @param radius of its middle, m
 * @param turn by how much it bends, degrees; to the left, below 0 to the right
 */
export function arc(
  from: Vec3,
  heading: number,
  radius: number,
  turn: number,
  { climb = 0, bank = 0, steps = 0 }: { climb?: number; bank?: number; steps?: number } = {},
): Frame[] {
  const sign = turn < 0 ? -1 : 1;
  const sweep = Math.abs(turn);
  // The middle of the bend, to the left or the right of where it begins.
  const cx = from[0] - sign * radius * sinDeg(heading);
  const cz = from[2] - sign * radius * cosDeg(heading);
  const n = steps || Math.max(2, Math.ceil(sweep / FACET));
  return evenly(0, 1, n).map((k) => {
    const h = heading + sign * sweep * k;
    const lean = bank * sinDeg(180 * k) * (k === 0 || k === 1 ? 0 : 1);
    return frameAt(
      [cx + sign * radius * sinDeg(h), from[1] + climb * k, cz + sign * radius * cosDeg(h)],
      h,
      0,
      sign * -lean,
    );
  });
}

/** A straight way whose height follows a curve of the part gone, 0 to 1. */
export const upAndDown = (length: number, height: (k: number) => number, steps: number): Frame[] =>
  evenly(0, 1, steps).map((k) => frameAt([length * k, height(k), 0]));

type Build = (spec: Spec) => PieceGeometry;

/** Slow at both ends: 0 to 1. */
export const eased = (k: number): number => k * k * (3 - 2 * k);

export const track = (
  id: string,
  label: string,
  words: string,
  params: Family['params'],
  build: Build,
  size: Family['size'] = [4, BED, 3],
): Family => ({
  id,
  label,
  group: 'track',
  words: `track road way ${words}`,
  material: 'slate',
  size,
  sizable: false,
  params: [...params, width],
  build,
});

export const length = (initial: number) => metres('length', 'Length', initial, 0.05, 100);
