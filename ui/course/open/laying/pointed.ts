import type { Vec3 } from '@/core/geometry';
import { useView } from '../../../scene';
import { useLay } from './layStore';
import { planeOf } from './workPlane';

/** The middle of the view on the work plane. */
export function restingAt(
  mode: 'side' | 'above' | 'free',
  planes: { level: number; depth: number },
  target: Vec3 | null,
): Vec3 {
  const [x, y, z] = target ?? [0, 0, 0];
  return planeOf(mode, planes).axis === 'z' ? [x, y, planes.depth] : [x, planes.level, z];
}

/** Where the piece in hand is pointed at; before any pointing, at the middle of the view. */
export const pointedNow = (): Vec3 => {
  const { ghostAt, level, depth } = useLay.getState();
  const { mode, target } = useView.getState();
  return ghostAt ?? restingAt(mode, { level, depth }, target);
};
