import { layPieces, type PieceInHand } from '@/core/assemble';
import { emptyCourse, type Course } from '@/core/course';
import type { Input, RunState } from '@/core/run';

/** Metres from one lane of the measuring course to the next. */
const LANE = 12;
/** Pieces from one mover to the next, until there are as many as asked for. */
const SPACING = 15;

/**
 * A made course for measuring: lanes of slabs with steps, thorns, shells and movers among them. The
 * runner works along the first lane; the rest is what a large course has besides.
 */
export function measuringCourse(pieces: number, movers: number): Course {
  const list: PieceInHand[] = [{ family: 'start', at: [2, 0, 0] }];
  const perLane = 100;
  for (let i = 0; list.length < pieces; i++) {
    const lane = Math.floor(i / perLane);
    const x = (i % perLane) * 2 + 1;
    const z = lane * LANE;
    const mover = i % SPACING === SPACING - 1 && i < movers * SPACING;
    // Half of the movers are the floor itself, rising and sinking under the runner; half slide about
    // over the edge of the lane, where a jump meets them.
    if (mover && Math.floor(i / SPACING) % 2 === 0) {
      const params = { span: 0.25, period: 3 + (i % 5), direction: 'up' };
      list.push({ family: 'drift', at: [x, -0.5, z], params });
      continue;
    }
    if (mover) {
      const params = { span: 2, period: 3 + (i % 5) };
      list.push({ family: 'drift', at: [x, 1.4, z + 1.1], params });
    }
    if (i % 17 === 9) list.push({ family: 'block', at: [x, -1.75, z], size: [2, 2, 2] });
    else list.push({ family: 'slab', at: [x, -0.5, z] });
  }
  return { ...layPieces(emptyCourse('Measuring', 'free'), list.slice(0, pieces)), tide: -6 };
}

/** Runs to and fro along the first lane, jumping now and then. */
export function paceInput(state: RunState, forward: boolean): Input {
  return { x: forward ? 16 : -16, z: 0, jump: state.tick % 120 < 20 };
}

/** Turns round near the ends of the first lane. */
export const keepsForward = (state: RunState, forward: boolean): boolean =>
  state.x > 190 ? false : state.x < 6 ? true : forward;
