import { aroundStroke, eraseScenery, onWorkPlane, scatterPieces } from '@/core/assemble';
import type { Vec2, Vec3 } from '@/core/geometry';
import { plainWay } from '@/core/route';
import { rayAt, useView, type Tool } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useLastRun } from '../../state/lastRun';
import { useLay } from '../layStore';
import { attempt } from '../attempt';

const onLevel = (x: number, y: number): Vec3 | null =>
  onWorkPlane(rayAt(useView.getState(), x, y), { axis: 'y', value: useLay.getState().level });

/** Strews scenery along a stroke of the finger, or takes it away along one. */
export function strewTool(): Tool {
  const strew = () => {
    const { stroke, brush, scattering, erasing, level, set } = useLay.getState();
    set({ stroke: [] });
    if (stroke.length === 0) return;
    const region = aroundStroke(
      stroke.map(([x, , z]): Vec2 => [x, z]),
      brush,
    );
    const { course } = useCourse.getState();
    const way = useLastRun.getState().way ?? plainWay(course);
    const done = attempt((c) =>
      erasing ? eraseScenery(c, region) : scatterPieces(c, region, level, scattering, way),
    );
    // The next stroke strews otherwise.
    if (done && !erasing) set({ scattering: { ...scattering, seed: scattering.seed + 1 } });
  };
  return {
    begin: (x, y) => {
      const p = onLevel(x, y);
      useLay.getState().set({ stroke: p ? [p] : [] });
      return p !== null;
    },
    drag: (x, y) => {
      const p = onLevel(x, y);
      const { stroke, set } = useLay.getState();
      const last = stroke[stroke.length - 1];
      if (p && (!last || Math.hypot(last[0] - p[0], last[2] - p[2]) > 0.6)) {
        set({ stroke: [...stroke, p] });
      }
    },
    drop: strew,
    tap: strew,
  };
}
