import type { Piece } from '@/core/course';
import { add, mapVec3, scale, type Vec3 } from '@/core/geometry';
import { axes, type Eye, TAN_HALF_FIELD } from '@/core/sight';

/** Somebody who is among the first three of a course. */
export interface Placed {
  readonly place: number;
  readonly player: string;
  /** The time, or the strokes. */
  readonly measure: string;
}

/** A stone in the scene, and who stands on it. */
export interface PlacedStone extends Placed {
  readonly stone: Piece;
  /** Where one stands on it, m, and the way one faces there, degrees. */
  readonly stand: Vec3;
  readonly heading: number;
}

/** A course's lantern, and what stands about it. */
interface Lantern {
  readonly at: Vec3;
  /** The middle of the course, m; it lies behind the stones. */
  readonly course: Vec3;
  /** Whether the course is seen from the side and stays so. */
  readonly sideOn: boolean;
  /** Height of the water, m; -Infinity where there is none. */
  readonly tide: number;
}

/** Left and right of the middle by place, m, and by how much each is higher than the lantern's foot. */
const PLACES: Readonly<Record<number, readonly [aside: number, up: number]>> = {
  1: [0, 1.5],
  2: [-1.7, 1.15],
  3: [1.7, 0.85],
};
/** Width of a stone, how far before the lantern they stand, how deep they go where there is no water, and most, m. */
const [WIDTH, BEFORE, DEEP, MOST_DEEP] = [1.5, 2.4, 4, 30];

/** The way from the course to its lantern, level: who stands there is looked at from beyond. */
function outward({ at, course, sideOn }: Lantern): Vec3 {
  const [dx, dz] = [at[0] - course[0], at[2] - course[2]];
  const far = Math.hypot(dx, dz);
  return sideOn || far < 1e-6 ? [0, 0, 1] : [dx / far, 0, dz / far];
}

const degrees = (radians: number): number => (radians * 180) / Math.PI;

/** Three stones that rise by a course's lantern, the first's in the middle and the highest. */
export function stonesBy(lantern: Lantern, first: readonly Placed[]): PlacedStone[] {
  const out = outward(lantern);
  // As who looks at them sees it.
  const right: Vec3 = [out[2], 0, -out[0]];
  const foot = Math.max(lantern.tide - 0.5, lantern.at[1] - MOST_DEEP);
  const low = Number.isFinite(lantern.tide) ? foot : lantern.at[1] - DEEP;
  return first.flatMap((placed) => {
    if (!(placed.place in PLACES)) return [];
    const [aside, up] = PLACES[placed.place];
    const [x, y, z] = add(lantern.at, add(scale(out, BEFORE), scale(right, aside)));
    const top = y + up;
    const stone: Piece = {
      id: `place-${placed.place}`,
      family: 'octagon',
      at: [x, Math.min(low, top - 1), z],
      size: [WIDTH, top - Math.min(low, top - 1), WIDTH],
      turn: [0, degrees(Math.atan2(out[0], out[2])), 0],
    };
    const heading = degrees(Math.atan2(-out[2], out[0]));
    return [{ ...placed, stone, stand: [x, top, z] as Vec3, heading }];
  });
}

/** What of a picture is free of what lies over it: from its left and top, as parts of its width and height. */
interface Free {
  readonly width: number;
  readonly height: number;
}

/**
 * An eye that has the stones in the middle of what is free of its picture, the course behind them.
 * @param shape width of the picture over its height
 */
export function eyeOnStones(lantern: Lantern, shape: number, free: Free): Eye {
  const out = outward(lantern);
  const middle = add(lantern.at, add(scale(out, BEFORE), [0, 1.2, 0]));
  // Where the stones are high up in the picture the eye is lowered for it, and must not come into the water.
  const pitch = free.height < 1 ? 25 : lantern.sideOn ? 0 : 12;
  const yaw = degrees(Math.atan2(-out[0], out[2]));
  // Six metres from left to right and four from top to bottom.
  const distance = Math.max(
    3 / (TAN_HALF_FIELD * shape * free.width),
    2 / (TAN_HALF_FIELD * free.height),
  );
  const { right, up } = axes({ yaw, pitch });
  const high = distance * TAN_HALF_FIELD;
  const aside = high * shape * (1 - free.width);
  const down = high * (1 - free.height);
  const target = mapVec3((i) => middle[i] + right[i] * aside - up[i] * down);
  return { target, distance, yaw, pitch };
}
