import { mapVec3, shortestAngle, type Vec3 } from '@/core/geometry';
import { axes, type Eye } from '@/core/sight';
import { motionReduced } from '../device/motion';
import { metresAPixel, pixelOf, useView, type ViewMode } from './view';

let going = 0;

/** Ends a glide under way where it is: whoever touches the view has it. */
export function endGlide(): void {
  going++;
}

/**
 * Has the eye go smoothly to where it is to be, and be there at once where no motion is wanted. Another glide, or
 * anything else that moves the view, ends it.
 */
export function glideTo(to: Partial<Eye & { mode: ViewMode }>, ms = 260): void {
  const turn = ++going;
  const { look } = useView.getState();
  if (motionReduced() || ms <= 0) {
    look(to);
    return;
  }
  const from = useView.getState();
  const [target, distance, yaw, pitch] = [
    to.target ?? from.target,
    to.distance ?? from.distance,
    to.yaw ?? from.yaw,
    to.pitch ?? from.pitch,
  ];
  // The short way round.
  const around = shortestAngle(yaw - from.yaw);
  if (to.mode) look({ mode: to.mode });
  const began = performance.now();
  const step = () => {
    if (turn !== going) return;
    const part = Math.min(1, (performance.now() - began) / ms);
    const k = part * part * (3 - 2 * part);
    const mix = (a: number, b: number) => a + (b - a) * k;
    look({
      target: mapVec3((i) => mix(from.target[i], target[i])),
      // Even to the eye: each moment as much nearer as the last.
      distance: from.distance * (distance / from.distance) ** k,
      yaw: from.yaw + around * k,
      pitch: mix(from.pitch, pitch),
    });
    if (part < 1) requestAnimationFrame(step);
  };
  requestAnimationFrame(step);
}

/** What the interface lies over of the canvas, pixels: nothing worth seeing goes under it. */
export interface Covered {
  readonly top: number;
  readonly bottom: number;
  readonly left: number;
  readonly right: number;
}

/** Moves the view, as little as it takes, so that a place is seen clear of what lies over the canvas. */
export function keepInSight(place: Vec3, covered: Covered): void {
  const view = useView.getState();
  const pixel = pixelOf(view, place);
  if (!pixel) return;
  const clear = (v: number, low: number, high: number) =>
    low > high ? (low + high) / 2 - v : v < low ? low - v : v > high ? high - v : 0;
  const dx = clear(pixel[0], covered.left, view.width - covered.right);
  const dy = clear(pixel[1], covered.top, view.height - covered.bottom);
  if (dx === 0 && dy === 0) return;
  const { right, up } = axes(view);
  const scale = metresAPixel(view, place);
  glideTo({
    target: mapVec3((i) => view.target[i] - right[i] * dx * scale + up[i] * dy * scale),
  });
}
