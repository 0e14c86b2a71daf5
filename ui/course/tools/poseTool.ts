import { movePose, pickChoosable, posePlaces, turnPose } from '@/core/edit';
import type { Course } from '@/core/course';
import { shortestAngle, type Vec3 } from '@/core/geometry';
import { pixelOf, rayAt, useView, type Tool } from '../../scene';
import { endMerge, useCourse } from '../../state/courseStore';
import { useLay } from '../open/laying';
import { touchBeside } from '../open/sceneMode';
import { useTune } from '../open/tuneStore';
import { showPose } from '../open/preview/showPose';
import { besidePlace, heightOver, knobAt, liftedBy, onLift, onTurn } from './knobs';

type Drag =
  | { readonly kind: 'move' }
  | { readonly kind: 'lift'; readonly from: number; readonly at: Vec3 }
  | { readonly kind: 'turn'; readonly from: number; readonly at: Vec3; readonly base: Course };

/** The angle of a pixel about the one a place is seen at, degrees, to the left. */
function angleAbout(p: Vec3, x: number, y: number): number {
  const pixel = pixelOf(useView.getState(), p) ?? [0, 0];
  return (Math.atan2(pixel[1] - y, x - pixel[0]) * 180) / Math.PI;
}

/** Poses of the chosen piece taken by dragging it where each is to bring it, lifted and turned there. */
export function poseTool(): Tool {
  let drag: Drag | null = null;
  const chosen = () => {
    const { course, choice } = useCourse.getState();
    return course.pieces.find(({ id }) => choice.has(id));
  };
  const edit = (change: (course: Course, id: string, pose: number) => Course, from?: Course) => {
    const { posing } = useTune.getState();
    const piece = chosen();
    if (!piece || posing === null) return;
    useCourse.getState().edit((now) => change(now, piece.id, posing), 'pose', from);
  };
  return {
    begin: (x, y) => {
      const piece = chosen();
      const { posing } = useTune.getState();
      const places = piece ? posePlaces(piece) : [];
      if (posing === null || !places[posing]) return false;
      const at = places[posing];
      drag = null;
      if (onLift(at, x, y)) {
        const from = heightOver(at, x, y);
        if (from !== null) drag = { kind: 'lift', from, at };
      } else if (onTurn(at, x, y)) {
        drag = { kind: 'turn', from: angleAbout(at, x, y), at, base: useCourse.getState().course };
      } else {
        const knob = knobAt(places, x, y);
        if (knob < 0) return false;
        if (knob !== posing) showPose(piece!, knob);
        drag = { kind: 'move' };
      }
      return drag !== null;
    },
    drag: (x, y) => {
      const piece = chosen();
      const { posing } = useTune.getState();
      if (!piece || posing === null || !drag) return;
      if (drag.kind === 'turn') {
        const { turnStep } = useLay.getState();
        const step = turnStep || 1;
        const by = Math.round(shortestAngle(angleAbout(drag.at, x, y) - drag.from) / step) * step;
        edit((now, id, pose) => (by === 0 ? now : turnPose(now, id, pose, by)), drag.base);
      } else if (drag.kind === 'lift') {
        const reach = heightOver(drag.at, x, y);
        if (reach === null) return;
        const to = liftedBy(drag.at, reach - drag.from);
        edit((now, id, pose) => movePose(now, id, pose, to));
      } else {
        const to = besidePlace(x, y, posePlaces(piece)[posing]);
        if (to) edit((now, id, pose) => movePose(now, id, pose, to));
      }
    },
    drop: () => {
      drag = null;
      endMerge();
    },
    tap: (x, y) => {
      const { course } = useCourse.getState();
      if (!pickChoosable(course, rayAt(useView.getState(), x, y))) touchBeside();
    },
  };
}
