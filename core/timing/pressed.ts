import { type Input, Recorder, type Run, type RunState, tick, type World } from '../run';

/** What was pressed in a run, tick by tick. */
export interface Pressed {
  readonly x: Int16Array;
  readonly z: Int16Array;
  readonly jump: Uint8Array;
}

/** A run's inputs, one for each tick. */
export function pressedOf({ inputs }: Pick<Run, 'inputs'>): Pressed {
  const ticks = inputs.reduce((sum, [count]) => sum + count, 0);
  const pressed = {
    x: new Int16Array(ticks),
    z: new Int16Array(ticks),
    jump: new Uint8Array(ticks),
  };
  let at = 0;
  for (const [count, x, z, jump] of inputs) {
    pressed.x.fill(x, at, at + count);
    pressed.z.fill(z, at, at + count);
    pressed.jump.fill(jump, at, at + count);
    at += count;
  }
  return pressed;
}

/** Ticks told one by one as the stretches a run is kept in. */
export function stretchesOf(inputs: Iterable<Input>): Run['inputs'] {
  const recorder = new Recorder();
  for (const input of inputs) recorder.add(input);
  return recorder.inputs;
}

/** What was pressed in one tick. */
export const inputAt = ({ x, z, jump }: Pressed, at: number): Input => ({
  x: x[at],
  z: z[at],
  jump: jump[at] === 1,
});

/**
 * Plays what was pressed from where a run is up to a tick; changes the state.
 * @param world the course made ready
 * @param state the run's state
 * @param pressed what was pressed, tick by tick
 * @param until the tick it is then at
 */
export function playTo(world: World, state: RunState, pressed: Pressed, until: number): void {
  while (state.tick < until && state.finish < 0 && !state.over) {
    tick(world, state, inputAt(pressed, state.tick), () => {});
  }
}
