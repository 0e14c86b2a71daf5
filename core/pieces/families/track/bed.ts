import {
  cosDeg,
  frameAt,
  lerp,
  sinDeg,
  type Stretch,
  type Sweep,
  type Swept,
  sweepAlong,
  twistedMeshes,
  type Section,
  type Vec3,
} from '../../../geometry';
import type { PieceGeometry, Spec, Family, Socket, Tone } from '../../family';
import { metres, oneOf, type PartSpec } from '../../parts';

/** Thickness of a track's bed; its top is what is run on. */
export const BED = 0.3;

/** Width of a kerb and its height over the bed, m; it can be stepped over. */
const KERB = 0.18;

export const KERB_UP = 0.14;

const width = metres('width', 'Width', 3, 0.8, 20);

export const side = oneOf('side', 'Turns', { left: 'Left', right: 'Right' });

export const rise = metres('rise', 'Rises by', 0, -40, 40);

/** A way by the part of it that is gone, 0 to 1; told a little beyond its ends too. */
export type Way = Sweep['frame'];

/** The bed and kerbs of a smooth way of given width at each part of it. */
export function bedAlong(way: Way, wide: (k: number) => number, tone: Tone): PartSpec[] {
  const bed = (k: number): Section => {
    const half = wide(k) / 2;
    return [
      [-half, 0],
      [half, 0],
      [half, BED],
      [-half, BED],
    ];
  };
  const kerb =
    (s: 1 | -1) =>
    (k: number): Section => {
      const half = wide(k) / 2;
      const [a, b] = s > 0 ? [half - KERB, half] : [-half, -half + KERB];
      return [
        [a, BED],
        [b, BED],
        [b - (s > 0 ? 0 : 0.05), BED + KERB_UP],
        [a + (s > 0 ? 0.05 : 0), BED + KERB_UP],
      ];
    };
  const along = (section: Sweep['section']) => sweepAlong({ frame: way, section });
  // On a level bed flat faces are all there is to roll on.
  const beds = along(bed).map((stretch) =>
    stretch.swept && isLevel(stretch.swept) ? { solid: stretch.solid } : stretch,
  );
  return [
    ...partsOf(beds, tone),
    ...partsOf(along(kerb(1)), 'timber'),
    ...partsOf(along(kerb(-1)), 'timber'),
  ];
}

/** Height a bed may rise and fall by and be level, m. */
const LEVEL = 1e-9;

const isLevel = (swept: Swept): boolean =>
  swept.every((curve) => curve.every(([, y]) => Math.abs(y - curve[0][1]) < LEVEL)) &&
  Math.abs(swept[0][0][1] - swept[1][0][1]) < LEVEL;

/** What touches of stretches that follow on one another, and what is seen of them. */
function partsOf(stretches: readonly Stretch[], tone: Tone): PartSpec[] {
  const meshes = twistedMeshes(stretches);
  if (!meshes) return stretches.map((stretch) => ({ ...stretch, tone }));
  return [
    ...meshes.map((solid): PartSpec => ({ solid, tone, role: null, mesh: true })),
    ...stretches.map((stretch) => ({ ...stretch, tone: null })),
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

/** How a bank comes and goes along a bend, 0 to 1 and back: it joins what is level without a crease. */
export function bankAt(k: number): number {
  const near = Math.max(0, Math.min(1, k < 0.5 ? k / BANKS_IN : (1 - k) / BANKS_IN));
  return eased(near);
}

/** Part of a bend over which its bank comes, and over which it goes. */
const BANKS_IN = 0.4;

/** The most a bank changes along a bend of length 1, as a part of the bank. */
export const BANK_PACE = 1.5 / BANKS_IN;

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
  { climb = 0, bank = 0 }: { climb?: number; bank?: number } = {},
): Way {
  const sign = turn < 0 ? -1 : 1;
  // The middle of the bend, to the left or the right of where it begins.
  const cx = from[0] - sign * radius * sinDeg(heading);
  const cz = from[2] - sign * radius * cosDeg(heading);
  return (k) => {
    const h = heading + turn * k;
    return frameAt(
      [cx + sign * radius * sinDeg(h), from[1] + climb * k, cz + sign * radius * cosDeg(h)],
      h,
      0,
      -sign * bank * bankAt(k),
    );
  };
}

/** A straight way whose height follows a curve of the part gone, 0 to 1. */
export const upAndDown =
  (length: number, height: (k: number) => number): Way =>
  (k) =>
    frameAt([length * k, height(k), 0]);

/** A straight way from one place to another. */
export const straightTo =
  (from: Vec3, to: Vec3, heading = 0): Way =>
  (k) =>
    frameAt(lerp(from, to, k), heading);

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
