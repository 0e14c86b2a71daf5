import type { Vec3 } from '@/core/geometry';
import { tideLine } from '@/core/run';
import { pixelOf, rayAt, useView, type Tool } from '../../scene';
import { endMerge, useCourse } from '../../state/courseStore';
import { useLay } from '../open/laying';
import { alongAxis, pieceTool } from './pieces';

/** How near its knob a finger takes hold of the tide line, pixels. */
const NEAR = 30;
/** The tide line goes by so much, m. */
const STEP = 0.1;

/** Where the tide line's knob stands: in the middle of the view, at the tide's height. */
export function tideKnob(): Vec3 {
  const { target } = useView.getState();
  return [target[0], tideLine(useCourse.getState().course), target[2]];
}

/** Drags the tide line up and down by its knob; else does what a finger does with pieces. */
export function tideTool(): Tool {
  const pieces = pieceTool();
  let grip: { from: number; tide: number; knob: Vec3 } | null = null;
  const height = (x: number, y: number, knob: Vec3) =>
    alongAxis({ along: [0, 1, 0], centre: knob }, rayAt(useView.getState(), x, y));
  const letGo = () => {
    grip = null;
    useLay.getState().showMeasure(null);
    endMerge();
  };
  return {
    ...pieces,
    begin: (x, y, pointer) => {
      const knob = tideKnob();
      const at = pixelOf(useView.getState(), knob);
      const from = at && Math.hypot(at[0] - x, at[1] - y) < NEAR ? height(x, y, knob) : null;
      grip = from === null ? null : { from, tide: knob[1], knob };
      return grip !== null || (pieces.begin?.(x, y, pointer) ?? false);
    },
    hold: (x, y) => (grip ? false : (pieces.hold?.(x, y) ?? false)),
    drag: (x, y) => {
      if (!grip) {
        pieces.drag?.(x, y);
        return;
      }
      const now = height(x, y, grip.knob);
      if (now === null) return;
      const tide = Math.round((grip.tide + now - grip.from) / STEP) * STEP;
      const told = Math.round(tide * 10) / 10;
      useLay.getState().showMeasure({ at: [grip.knob[0], told, grip.knob[2]], words: `${told} m` });
      useCourse.getState().edit((course) => ({ ...course, tide: told }), 'tide');
    },
    drop: () => (grip ? letGo() : pieces.drop?.()),
    cancel: () => (grip ? letGo() : pieces.cancel?.()),
  };
}
