import { onWorkPlane } from '@/core/edit';
import { rayAt, useView, type Tool } from '../../scene';
import { toGrid } from './landing';
import { useLay } from '../open/laying';

/** Moves the middle of a ring of copies to wherever it is touched or drawn. */
export function pivotTool(): Tool {
  const move = (x: number, y: number) => {
    const { pivot, level, showRing } = useLay.getState();
    const p = onWorkPlane(rayAt(useView.getState(), x, y), { axis: 'y', value: level });
    if (!pivot || !p) return;
    const [px, , pz] = toGrid(p);
    showRing({ ...pivot, px, pz });
  };
  return { begin: () => true, drag: move, tap: move };
}
