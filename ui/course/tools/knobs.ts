import { onWorkPlane } from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import { pixelOf, rayAt, useView } from '../../scene';
import { planeNow, toGrid } from './landing';
import { useLay } from '../open/laying';
import { alongAxis } from './pieces';

/** Half the width of what a finger hits, pixels. */
const REACH = 24;
/** How far above a place the knob stands that lifts it, and beside it the one that turns, pixels. */
export const KNOB_OUT = 46;

/** The place, of several, whose knob a finger is on; or -1. */
export function knobAt(places: readonly Vec3[], x: number, y: number): number {
  const view = useView.getState();
  return places.findIndex((p) => {
    const pixel = pixelOf(view, p);
    return pixel !== null && Math.hypot(pixel[0] - x, pixel[1] - y) < REACH;
  });
}

const near = (p: Vec3, dx: number, dy: number, x: number, y: number): boolean => {
  const pixel = pixelOf(useView.getState(), p);
  return pixel !== null && Math.hypot(pixel[0] + dx - x, pixel[1] + dy - y) < REACH;
};

/** Whether a place can be lifted as it is seen now: not from straight above. */
export const mayLift = (): boolean => useView.getState().pitch < 75;

/** Whether a finger is on the knob that lifts a place. */
export const onLift = (p: Vec3, x: number, y: number): boolean =>
  mayLift() && near(p, 0, -KNOB_OUT, x, y);

/** Whether a finger is on the knob that turns what is at a place. */
export const onTurn = (p: Vec3, x: number, y: number): boolean => near(p, KNOB_OUT, 0, x, y);

/** A touched place at the height, or seen from the side the depth, of another; on the grid. */
export function besidePlace(x: number, y: number, like: Vec3): Vec3 | null {
  const plane = planeNow();
  const p = onWorkPlane(rayAt(useView.getState(), x, y), {
    ...plane,
    value: like[plane.axis === 'y' ? 1 : 2],
  });
  return p && toGrid(p);
}

/** A place lifted by metres, to a height on the grid. */
export function liftedBy([x, y, z]: Vec3, metres: number): Vec3 {
  const { steps, snapping, snapSuspended } = useLay.getState();
  const step = (snapping && !snapSuspended && steps[1]) || 0.01;
  return [x, Math.round((y + metres) / step) * step, z];
}

/** How far above a place a finger points, m; null where it looks along the upright. */
export const heightOver = (p: Vec3, x: number, y: number): number | null =>
  alongAxis({ along: [0, 1, 0], centre: p }, rayAt(useView.getState(), x, y));
