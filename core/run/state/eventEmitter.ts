import { DT, type World } from '../world';
import type { Emit, RunEvent } from './event';
import type { RunState } from './state';

/** Tells of something that happened after a part of the tick, to a piece by its place if to one. */
export type EmitEvent = (
  kind: RunEvent['kind'],
  part?: number,
  piece?: number,
  text?: string,
) => void;

/** How things are told of in a run's tick. */
export const eventEmitter =
  (world: World, s: RunState, emit: Emit): EmitEvent =>
  (kind, part = 1, piece = -1, text) =>
    emit({
      kind,
      tick: s.tick,
      time: (s.tick - 1 + part) * DT,
      x: s.x,
      y: s.y,
      z: s.z,
      piece: world.pieces[piece]?.id,
      ...(text === undefined ? {} : { text }),
    });
