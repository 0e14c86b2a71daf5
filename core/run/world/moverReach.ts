import { BOUNDS } from '../../course';
import { add, mapVec3, rotate, type Vec3 } from '../../geometry';
import { samplePoses, type Motion, type Pose } from '../../motion';
import type { Mover } from './mover';

/** Has a loose mover's reach take in a box at rest. */
export function reachOut(
  m: Mover,
  box: { readonly low: Vec3; readonly high: Vec3 },
  margin: number,
) {
  let square = 0;
  for (let axis = 0; axis < 3; axis++) {
    const far = Math.max(m.at[axis] - box.low[axis], box.high[axis] - m.at[axis]);
    square += far * far;
  }
  m.reach = Math.max(m.reach, Math.sqrt(square) + margin);
}

/** The boxes that a form's box may come to lie in, over all the motion of what carries it. */
export function reachBounds(
  list: readonly Mover[],
  index: number,
  box: { readonly low: Vec3; readonly high: Vec3 },
): { low: Vec3; high: Vec3 } {
  let { low, high } = box;
  for (let i = index; i >= 0; i = list[i].parent) {
    const m = list[i];
    for (const motion of [...m.motions].reverse())
      ({ low, high } = swept(samplePoses(motion), low, high, turnsAbout(motion)));
    if (m.driven) ({ low, high } = drivenBounds(m, low, high));
    // It may be pushed anywhere.
    if (m.loose)
      return { low: [-ANYWHERE, -ANYWHERE, -ANYWHERE], high: [ANYWHERE, ANYWHERE, ANYWHERE] };
  }
  return { low, high };
}

/** How far a mover's shifting takes things down, m; turning, the runner and chance are left aside. */
export function sinkOf(list: readonly Mover[], index: number): number {
  let low = 0;
  for (let i = index; i >= 0; i = list[i].parent) {
    for (const motion of list[i].motions) {
      if (turnsAbout(motion)) continue;
      low += Math.min(0, ...samplePoses(motion).map(({ shift }) => shift[1]));
    }
  }
  return -low;
}

const ANYWHERE = 1e6;

const turnsAbout = ({ kind }: Motion): boolean =>
  kind !== 'slide' && kind !== 'hop' && kind !== 'way';

/** The box about a box in all of some poses; between two of those that turn it strays by under 2 %. */
function swept(poses: readonly Pose[], low: Vec3, high: Vec3, turning: boolean) {
  const l: [number, number, number] = [Infinity, Infinity, Infinity];
  const h: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  // A turned box reaches from its middle as far as the sizes of its turn's numbers say.
  const middle: Vec3 = [(low[0] + high[0]) / 2, (low[1] + high[1]) / 2, (low[2] + high[2]) / 2];
  const half: Vec3 = [(high[0] - low[0]) / 2, (high[1] - low[1]) / 2, (high[2] - low[2]) / 2];
  for (const { turn: m, shift, size } of poses) {
    for (let axis = 0; axis < 3; axis++) {
      const [a, b, c] = [m[3 * axis], m[3 * axis + 1], m[3 * axis + 2]];
      const at = (a * middle[0] + b * middle[1] + c * middle[2]) * size + shift[axis];
      const reach = (Math.abs(a) * half[0] + Math.abs(b) * half[1] + Math.abs(c) * half[2]) * size;
      if (at - reach < l[axis]) l[axis] = at - reach;
      if (at + reach > h[axis]) h[axis] = at + reach;
    }
  }
  const span = Math.max(h[0] - l[0], h[1] - l[1], h[2] - l[2]);
  const margin = turning ? 0.02 * span : 0.03 * span;
  return {
    low: mapVec3((i) => l[i] - margin),
    high: mapVec3((i) => h[i] + margin),
  };
}

function drivenBounds(m: Mover, low: Vec3, high: Vec3): { low: Vec3; high: Vec3 } {
  const { driven: told } = m;
  if (told!.kind === 'arrive') {
    const far = rotate(m.turn, told!.from);
    const spins = told!.turn ? Math.max(...high.map((v, i) => v - low[i])) : 0;
    return {
      low: mapVec3((i) => Math.min(low[i], low[i] + far[i]) - spins),
      high: mapVec3((i) => Math.max(high[i], high[i] + far[i]) + spins),
    };
  }
  const reach = told!.kind === 'chase' ? CHASE_REACH * told!.range : 2 * BOUNDS;
  return {
    low: add(low, [-reach, -reach, -reach]),
    high: add(high, [reach, reach, reach]),
  };
}

/** How many times its range something that chases may get from home. */
export const CHASE_REACH = 3;
