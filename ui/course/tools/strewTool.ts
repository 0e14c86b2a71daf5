import { eraseScenery, onWorkPlane, scatterPieces, type MapRegion } from '@/core/edit';
import type { Vec2, Vec3 } from '@/core/geometry';
import { rayAt, useView, type Tool } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useLastRun } from '../../state/lastRun';
import { useLay } from '../open/laying';
import { showToast } from '../../parts';
import { tryEdit } from '../open/tryEdit';
import { meantWay } from '../open/useMeantWay';

const onLevel = (x: number, y: number): Vec3 | null =>
  onWorkPlane(rayAt(useView.getState(), x, y), { axis: 'y', value: useLay.getState().level });

/** Strews scenery along a stroke of the finger or within the area drawn round, or takes it away along one. */
export function strewTool(): Tool {
  const strew = () => {
    const { stroke, brush, scattering, strewing, level, changeScattering, drawStroke } =
      useLay.getState();
    drawStroke([]);
    if (stroke.length === 0) return;
    const places = stroke.map(([x, , z]): Vec2 => [x, z]);
    if (strewing === 'area' && places.length < 3) {
      showToast('Draw round the area with one stroke.');
      return;
    }
    const region: MapRegion =
      strewing === 'area' ? { ring: places } : { stroke: places, reach: brush };
    const { course } = useCourse.getState();
    const way = useLastRun.getState().way ?? meantWay(course).way;
    const done = tryEdit((c) =>
      strewing === 'erase'
        ? eraseScenery(c, region)
        : scatterPieces(c, region, level, scattering, way),
    );
    // The next stroke strews otherwise.
    if (done && strewing !== 'erase') changeScattering({ seed: scattering.seed + 1 });
  };
  return {
    begin: (x, y) => {
      const p = onLevel(x, y);
      useLay.getState().drawStroke(p ? [p] : []);
      return p !== null;
    },
    drag: (x, y) => {
      const p = onLevel(x, y);
      const { stroke, drawStroke } = useLay.getState();
      const last = stroke[stroke.length - 1];
      if (p && (!last || Math.hypot(last[0] - p[0], last[2] - p[2]) > 0.6)) {
        drawStroke([...stroke, p]);
      }
    },
    drop: strew,
    tap: strew,
  };
}
