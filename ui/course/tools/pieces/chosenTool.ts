import { pickChoosable } from '@/core/edit';
import { rayAt, useView, type Tool } from '../../../scene';
import { endMerge, useCourse } from '../../../state/courseStore';
import { buildCommands } from '../../open/chosenEdits';
import { snapNow } from '../landing';
import { useLay } from '../../open/laying';
import { cornerOfOthersAt, touchCorner } from './corners';
import { beginDrag, placeHeld, type Drag } from './drag';
import {
  cornerStep,
  moveStep,
  pullStep,
  turnStep,
  type DragStep,
  type HandleSteps,
} from './dragStep';
import { alongAxis, roundAxis } from './handles';
import { touchPiece } from './touch';

/** By how much handles go at a time as snapping is set now. */
function handleSteps(): HandleSteps {
  const { turnStep: turn, snapping, snapSuspended, steps: own } = useLay.getState();
  const { steps, ends } = snapNow();
  return {
    turn: snapping && !snapSuspended ? turn : 0,
    // Across the work plane nothing snaps by itself, but a handle goes by the grid all the same.
    along: steps.map((step, axis) => step || (ends ? own[axis] : 0)),
  };
}

/** What a drag comes to with the finger at a pixel; null where that points at nothing. */
function stepOf(drag: Drag, x: number, y: number): DragStep | null {
  const { course, choice } = useCourse.getState();
  const ray = rayAt(useView.getState(), x, y);
  if (drag.kind === 'move') {
    const to = placeHeld(x, y, drag.held);
    return to && moveStep(drag, choice, to, snapNow());
  }
  if (drag.kind === 'corner') {
    return cornerStep(drag, choice, cornerOfOthersAt(course, choice, x, y));
  }
  const turns = drag.handle.mode === 'turn';
  const value = turns ? roundAxis(drag.handle, ray) : alongAxis(drag.handle, ray);
  if (value === null) return null;
  return (turns ? turnStep : pullStep)(drag, choice, value, handleSteps(), useLay.getState());
}

/** With nothing in hand: chooses, and drags what is chosen by itself, by its corners or by its handles. */
export function chosenTool(): Tool {
  let drag: Drag | null = null;
  return {
    begin: (x, y) => {
      drag = beginDrag(x, y);
      return drag !== null;
    },
    drag: (x, y) => {
      const step = drag && stepOf(drag, x, y);
      if (!step) return;
      useLay.getState().showMeasure(step.measure);
      useCourse.getState().edit(step.edit, 'drag', drag!.base);
    },
    drop: () => {
      if (drag?.kind === 'corner') useLay.getState().endCornering();
      useLay.getState().showMeasure(null);
      drag = null;
      endMerge();
    },
    // Held down on a piece that is not chosen, another like it is in hand.
    hold: (x, y) => {
      const { course, choice, choose } = useCourse.getState();
      const { cornering, adding } = useLay.getState();
      if (cornering || adding) return false;
      const under = pickChoosable(course, rayAt(useView.getState(), x, y));
      if (!under || choice.has(under.id)) return false;
      choose([under.id]);
      buildCommands.takeLike();
      return true;
    },
    tap: (x, y, { adds }) =>
      useLay.getState().cornering ? touchCorner(x, y) : touchPiece(x, y, adds),
  };
}
