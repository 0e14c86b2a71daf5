import { emptyCourse } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { pixelOf, useView, type Tool } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { takeTool, useLay } from '../open/laying';

export const course = () => useCourse.getState().course;
export const lay = () => useLay.getState();
export const pixel = (place: Vec3) => pixelOf(useView.getState(), place)!;

export const MOUSE = { kind: 'mouse', adds: false } as const;
export const FINGER = { kind: 'touch', adds: false } as const;

/** An empty course seen from above, a plain tool, the usual snapping. */
export function beginTrial(): void {
  useView.getState().resize(1000, 800);
  useView.getState().look({ mode: 'above', yaw: 0, pitch: 89.5, distance: 40, target: [0, 0, 0] });
  useCourse.getState().open('a', 1, emptyCourse('Trial', 'free'), { kind: 'saved', at: 0 });
  takeTool('pieces');
  useLay.setState({
    level: 0,
    steps: [0.5, 0.5, 0.5],
    snapping: true,
    ends: true,
    adding: false,
    dragCopies: false,
    rowing: false,
    ghostAt: null,
  });
}

/** A finger from place to place, by way of some in between. */
export function drag(tool: Tool, ...places: Vec3[]): boolean {
  const [first, ...rest] = places.map(pixel);
  const owned = tool.begin?.(...first, MOUSE) ?? false;
  if (!owned) return false;
  for (const at of rest) tool.drag?.(...at);
  tool.drop?.();
  return true;
}

export const tap = (tool: Tool, place: Vec3) => {
  tool.begin?.(...pixel(place), MOUSE);
  tool.tap?.(...pixel(place), MOUSE);
};
