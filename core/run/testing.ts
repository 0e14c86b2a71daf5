import { emptyCourse, type Course } from '../course';
import { layPieces, type PieceInHand } from '../edit';
import { buildWorld, type World } from './world';
import { type Input, NO_INPUT, type RunEvent, type RunState } from './state';
import { initialState, tick } from './play';

/** A side-on course of the pieces, with a start at the origin. */
export const courseOf = (...pieces: PieceInHand[]): Course =>
  layPieces(emptyCourse('Trial'), [{ family: 'start', at: [0, 0, 0] }, ...pieces]);

/** A floor whose top is at `top`, from x0 to x1. */
export const floor = (x0: number, x1: number, top = 0): PieceInHand => ({
  family: 'slab',
  at: [(x0 + x1) / 2, top - 1, 0],
  size: [x1 - x0, 1, 6],
});

export const right: Input = { x: 16, z: 0, jump: false };
export const rightJump: Input = { x: 16, z: 0, jump: true };
export const jumpOnly: Input = { x: 0, z: 0, jump: true };

/** A run that can be driven tick by tick in a test. */
export class Trial {
  readonly world: World;
  readonly state: RunState;
  readonly events: RunEvent[] = [];

  constructor(course: Course, seed = 0) {
    this.world = buildWorld(course);
    this.state = initialState(this.world, seed);
  }

  /** Goes on with one input for some ticks, or until a condition holds. */
  go(input: Input = NO_INPUT, ticks = 1, until?: (s: RunState) => boolean): this {
    for (let i = 0; i < ticks && !until?.(this.state); i++) {
      tick(this.world, this.state, input, (event) => this.events.push(event));
    }
    return this;
  }

  happened(kind: RunEvent['kind']): RunEvent[] {
    return this.events.filter((event) => event.kind === kind);
  }
}
