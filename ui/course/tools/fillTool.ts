import { carveArea, fillArea, floodArea, onWorkPlane, pickChoosable, rectangle } from '@/core/edit';
import { distance, type Vec2, type Vec3 } from '@/core/geometry';
import { familyOf } from '@/core/pieces';
import { showToast } from '../../parts';
import { rayAt, useView, type Tool } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { tryEdit } from '../open/tryEdit';
import { useLay } from '../open/laying';

const onLevel = (x: number, y: number): Vec3 | null =>
  onWorkPlane(rayAt(useView.getState(), x, y), { axis: 'y', value: useLay.getState().level });

/** Height of the foot of floors whose top lies on the work plane. */
export function floorLevel(): number {
  const { floor, level } = useLay.getState();
  return Math.round((level - (floor.size ?? familyOf(floor.family).size)[1]) * 1e6) / 1e6;
}

/** How far a finger goes between two places of an outline, m. */
const LEAST = 0.15;

/** Fills an area with floor, or carves it out again: drag a rectangle, draw round it, or tap to flood an outline. */
export function fillTool(): Tool {
  let from: Vec2 | null = null;
  const region = (to: Vec2): Vec2[] => rectangle(useLay.getState().floor, from!, to);
  return {
    begin: (x, y) => {
      const p = onLevel(x, y);
      from = p && [p[0], p[2]];
      return from !== null;
    },
    drag: (x, y) => {
      const p = onLevel(x, y);
      if (!p || !from) return;
      const { fillRound, stroke, drawStroke } = useLay.getState();
      if (fillRound) {
        const last = stroke[stroke.length - 1];
        if (!last || distance(last, p) > LEAST) drawStroke([...stroke, p]);
        return;
      }
      const ring = region([p[0], p[2]]);
      const { level, floor, showMeasure } = useLay.getState();
      const [w, , d] = floor.size ?? familyOf(floor.family).size;
      const count = (axis: 0 | 1, side: number) =>
        Math.round((ring[2][axis] - ring[0][axis]) / side);
      drawStroke(ring.map(([rx, rz]): Vec3 => [rx, level, rz]));
      showMeasure({ at: p, words: `${count(0, w)} × ${count(1, d)}` });
    },
    drop: () => {
      const { stroke, fill, floor, dropStroke } = useLay.getState();
      const ring = stroke.map(([x, , z]): Vec2 => [x, z]);
      dropStroke();
      from = null;
      if (ring.length < 3) return;
      const change = fill === 'carve' ? carveArea : fillArea;
      const done = tryEdit((course) => change(course, floor, floorLevel(), ring));
      if (!done && fill === 'carve') showToast('There is no floor of this level to carve.');
    },
    tap: (x, y) => {
      const { fill, floor } = useLay.getState();
      const p = onLevel(x, y);
      if (!p) return;
      if (fill === 'flood') tryEdit((c) => floodArea(c, floor, floorLevel(), [p[0], p[2]]));
      else {
        const at: Vec2 = [p[0], p[2]];
        const change = fill === 'carve' ? carveArea : fillArea;
        tryEdit((c) => change(c, floor, floorLevel(), rectangle(floor, at, at)));
      }
    },
  };
}

/** Takes the floor under the middle of the view, or under a pixel, to go on with. */
export function pickFloor(x: number, y: number): void {
  const { course } = useCourse.getState();
  const under = pickChoosable(course, rayAt(useView.getState(), x, y));
  const piece = course.pieces.find(({ id }) => id === under?.id);
  if (!piece || familyOf(piece.family).group !== 'floors' || piece.outline) {
    showToast('There is no floor there to go on with.');
    return;
  }
  const { id: _, twin: __, group: ___, name: ____, ...floor } = piece;
  const { setFloor, moveWorkPlane } = useLay.getState();
  setFloor(floor);
  moveWorkPlane({ level: piece.at[1] + (piece.size ?? familyOf(piece.family).size)[1] });
}
