import type { Pointer, Tool } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { useLay } from '../../open/laying';
import { chosenTool } from './chosenTool';
import { handTool } from './handTool';

/** Lays what is in hand; else chooses, and drags what is chosen. */
export function pieceTool(): Tool {
  const hand = handTool();
  const chosen = chosenTool();
  /** The tool that has what goes on between a finger's going down and its lifting. */
  let held: Tool = {};
  let pointedBy: Pointer = { kind: 'mouse', adds: false };
  /** A piece was picked up by holding down, and has not been carried yet. */
  let picked = false;
  const now = () => (useCourse.getState().inHand && !useLay.getState().cornering ? hand : chosen);
  return {
    begin: (x, y, pointer) => {
      held = now();
      pointedBy = pointer;
      picked = false;
      return held.begin?.(x, y, pointer) ?? false;
    },
    hold: (x, y) => {
      if (held === hand) return hand.hold!(x, y);
      // With a mouse that is a slow click.
      picked = pointedBy.kind !== 'mouse' && chosen.hold!(x, y);
      return picked;
    },
    drag: (x, y) => {
      if (picked) {
        // What was picked up is carried on by the same finger.
        picked = false;
        held = hand;
        hand.begin!(x, y, pointedBy);
      }
      held.drag?.(x, y);
    },
    drop: () => {
      if (!picked) held.drop?.();
    },
    cancel: () => (held.cancel ?? held.drop)?.(),
    tap: (x, y, pointer) => now().tap?.(x, y, pointer),
    hover: (x, y) => now().hover?.(x, y),
  };
}
