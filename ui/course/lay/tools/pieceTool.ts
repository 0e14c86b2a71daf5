import {
  chosenOf,
  movePieces,
  onWorkPlane,
  rayHitsBounds,
  pickChoosable,
  snapToGrid,
  spinPieces,
  stretchPieces,
  landingOf,
  withGroups,
  choosable,
  changePieces,
  setTurn,
  cornerOnto,
  cornersOf,
  duplicatePieces,
  pullEdge,
  endIndex,
  type PieceInHand,
} from '@/core/edit';
import type { Course, Piece } from '@/core/course';
import { add, scale, shortestAngle, sub, type Vec3 } from '@/core/geometry';
import { numberText, showToast } from '../../../parts';
import { pixelOf, rayAt, useView, type Pointer, type Tool } from '../../../scene';
import { buildCommands } from '../../commands/commands';
import { endMerge, useCourse } from '../../../state/courseStore';
import { planeNow, snapNow } from '../landing';
import { useLay } from '../layStore';
import { handTool } from './handTool';
import { alongAxis, handleAt, handlesOf, roundAxis, type Handle } from './handles';

const ray = (x: number, y: number) => rayAt(useView.getState(), x, y);

type Drag =
  | {
      readonly kind: 'move';
      readonly base: Course;
      /** The course without what is dragged: what it may snap to, found once for the whole drag. */
      readonly others: Course;
      readonly from: Vec3;
      readonly held: string;
    }
  | { readonly kind: 'corner'; readonly base: Course; readonly own: Vec3 }
  | {
      readonly kind: 'handle';
      readonly base: Course;
      readonly handle: Handle;
      readonly from: number;
    };

/** The corner of some pieces that is seen nearest to a pixel, where one is near at all. */
function cornerAt(pieces: readonly Piece[], x: number, y: number): Vec3 | null {
  const view = useView.getState();
  let best: Vec3 | null = null;
  let least = 40;
  for (const piece of pieces) {
    for (const corner of cornersOf(piece)) {
      const pixel = pixelOf(view, corner);
      const away = pixel ? Math.hypot(pixel[0] - x, pixel[1] - y) : Infinity;
      if (away < least) {
        least = away;
        best = corner;
      }
    }
  }
  return best;
}

/** Corner onto corner: the first touch takes one of the chosen pieces, the second says onto which. */
function touchCorner(x: number, y: number): void {
  const { course, choice, edit } = useCourse.getState();
  const { cornering, set } = useLay.getState();
  const own = cornering?.own;
  const found = cornerAt(
    choosable(course).filter(({ id }) => choice.has(id) === !own),
    x,
    y,
  );
  if (!found) showToast('There is no corner there. Touch nearer to one.');
  else if (!own) set({ cornering: { own: found } });
  else {
    edit((before) => cornerOnto(before, choice, own, found));
    set({ cornering: null });
  }
}

/** The open end of track that a finger is on, if it is on one. */
function endAt(course: Course, x: number, y: number): Vec3 | null {
  const view = useView.getState();
  for (const { at } of endIndex(course).open('track')) {
    const pixel = pixelOf(view, at);
    if (pixel && Math.hypot(pixel[0] - x, pixel[1] - y) < ON_END) return at;
  }
  return null;
}

/** How near an open end a finger means it, pixels. */
const ON_END = 18;

/** Lays what is in hand; else chooses, and drags what is chosen by itself or by its handles. */
export function pieceTool(): Tool {
  let drag: Drag | null = null;

  const heldPlace = (x: number, y: number, id: string) => {
    const piece = useCourse.getState().course.pieces.find((p) => p.id === id);
    if (!piece) return null;
    const { axis } = planeNow();
    return onWorkPlane(ray(x, y), { axis, value: piece.at[axis === 'z' ? 2 : 1] });
  };

  const begin = (x: number, y: number): Drag | null => {
    const { course, choice } = useCourse.getState();
    const { handles, ownAxes, cornering } = useLay.getState();
    if (cornering) {
      // By one drag: from one of its corners onto another piece's.
      const own = cornering.own ? null : cornerAt(chosenOf(course, choice), x, y);
      return own && { kind: 'corner', base: course, own };
    }
    const view = useView.getState();
    const handle = handleAt(handlesOf(chosenOf(course, choice), handles, ownAxes, view), x, y);
    if (handle !== useLay.getState().held) useLay.getState().set({ held: handle });
    if (handle) {
      const from =
        handle.mode === 'turn' ? roundAxis(handle, ray(x, y)) : alongAxis(handle, ray(x, y));
      if (from === null) return null;
      return { kind: 'handle', base: course, handle, from };
    }
    const along = ray(x, y);
    if (!chosenOf(course, choice).some((piece) => rayHitsBounds(along, piece))) return null;
    const under = pickChoosable(course, along);
    if (!under || !choice.has(under.id)) return null;
    const from = heldPlace(x, y, under.id);
    if (from && useLay.getState().dragCopies) return dragCopy(from, under.id);
    const others = { ...course, pieces: course.pieces.filter(({ id }) => !choice.has(id)) };
    return from && { kind: 'move', base: course, others, from, held: under.id };
  };

  /** Leaves what is chosen and drags a copy of it, all of it one step. */
  const dragCopy = (from: Vec3, held: string): Drag | null => {
    const { course, choice, edit, choose } = useCourse.getState();
    const { course: base, copies } = duplicatePieces(course, choice, [0, 0, 0]);
    const place = chosenOf(course, choice).findIndex(({ id }) => id === held);
    edit(() => base, 'drag');
    choose(copies, true);
    return {
      kind: 'move',
      base: useCourse.getState().course,
      others: course,
      from,
      held: copies[place],
    };
  };

  const dragPieces = (
    { base, others, from, held }: Extract<Drag, { kind: 'move' }>,
    x: number,
    y: number,
  ) => {
    const to = heldPlace(x, y, held);
    if (!to) return;
    const { choice, edit } = useCourse.getState();
    const piece = base.pieces.find(({ id }) => id === held)!;
    const way = sub(to, from);
    const settings = snapNow();
    // The way goes by the grid's steps, along its own axes.
    const grid = snapToGrid(way, settings.steps, {
      origin: [0, 0, 0],
      turn: settings.frame?.turn ?? 0,
    });
    const landing = landingOf(
      others,
      { ...piece, at: add(piece.at, way) as PieceInHand['at'] },
      { ...settings, steps: [0, 0, 0], surface: false },
    );
    const taken = landing.took === 'end' || landing.took === 'corner';
    const by = taken ? sub(landing.piece.at, piece.at) : grid;
    useLay.getState().set({
      measure: { at: to, words: taken ? `on ${landing.took}` : lengths(by) },
    });
    edit(
      (course) => {
        const moved = movePieces(course, choice, by);
        if (landing.took !== 'end' || choice.size > 1) return moved;
        return changePieces(moved, choice, (p) => setTurn(p, landing.piece.turn ?? [0, 0, 0]));
      },
      'drag',
      base,
    );
  };

  const dragCorner = ({ base, own }: Extract<Drag, { kind: 'corner' }>, x: number, y: number) => {
    const { course, choice, edit } = useCourse.getState();
    const onto = cornerAt(
      choosable(course).filter(({ id }) => !choice.has(id)),
      x,
      y,
    );
    useLay.getState().set({ measure: onto && { at: onto, words: 'on corner' } });
    edit((now) => (onto ? cornerOnto(now, choice, own, onto) : now), 'drag', base);
  };

  const dragHandle = (
    { base, handle, from }: Extract<Drag, { kind: 'handle' }>,
    x: number,
    y: number,
  ) => {
    const { choice, edit } = useCourse.getState();
    const { turnStep, bothSides, ownAxes } = useLay.getState();
    const { steps } = snapNow();
    if (handle.mode === 'turn') {
      const angle = roundAxis(handle, ray(x, y));
      if (angle === null) return;
      const on = useLay.getState().snapping && !useLay.getState().snapSuspended;
      const step = on && turnStep > 0 ? turnStep : 1;
      const by = Math.round(shortestAngle(angle - from) / step) * step;
      useLay.getState().set({ measure: { at: handle.at, words: `${numberText(by)}°` } });
      edit(
        (course) =>
          by === 0 ? course : spinPieces(course, choice, handle.axis, by, handle.centre, ownAxes),
        'drag',
        base,
      );
      return;
    }
    const reach = alongAxis(handle, ray(x, y));
    if (reach === null) return;
    const free = reach - from;
    const step = steps[handle.axis] || (snapNow().ends ? useLay.getState().steps[handle.axis] : 0);
    const by = step > 0 ? Math.round(free / step) * step : Math.round(free * 100) / 100;
    useLay.getState().set({
      measure: { at: add(handle.at, scale(handle.along, by)), words: `${numberText(by)} m` },
    });
    edit(
      (course) => {
        if (by === 0) return course;
        if (handle.edge) return pullEdge(course, choice, handle.edge, by);
        return handle.mode === 'move'
          ? movePieces(course, choice, scale(handle.along, by))
          : stretchPieces(course, choice, handle.axis, handle.side * by, handle.side, bothSides);
      },
      'drag',
      base,
    );
  };

  const choose = (x: number, y: number, adds: boolean) => {
    const { course, choice, choose: set } = useCourse.getState();
    const end = choice.size === 0 ? endAt(course, x, y) : null;
    if (end) {
      useLay.getState().set({ fitsAt: end });
      return;
    }
    const under = pickChoosable(course, ray(x, y));
    const adding = adds || useLay.getState().adding;
    if (!under) {
      if (!adding) set([]);
      return;
    }
    const ids = withGroups(course, [under.id]);
    if (!adding) set(ids);
    else if (choice.has(under.id)) set([...choice].filter((id) => !ids.has(id)));
    else set([...choice, ...ids]);
  };

  const hand = handTool();
  /** The tool that has what goes on between a finger's going down and its lifting. */
  let held: Tool = {};
  let pointedBy: Pointer = { kind: 'mouse', adds: false };
  let picked = false;
  const now = () => (useCourse.getState().inHand && !useLay.getState().cornering ? hand : own);
  const own: Tool = {
    begin: (x, y) => {
      drag = begin(x, y);
      return drag !== null;
    },
    drag: (x, y) => {
      if (drag?.kind === 'move') dragPieces(drag, x, y);
      else if (drag?.kind === 'handle') dragHandle(drag, x, y);
      else if (drag?.kind === 'corner') dragCorner(drag, x, y);
    },
    drop: () => {
      if (drag?.kind === 'corner') useLay.getState().set({ cornering: null });
      useLay.getState().set({ measure: null });
      drag = null;
      endMerge();
    },
    // Held down on a piece that is not chosen, another like it is in hand; with a mouse that is a slow click.
    hold: (x, y) => {
      const { course, choice } = useCourse.getState();
      const { cornering, adding } = useLay.getState();
      if (pointedBy.kind === 'mouse' || cornering || adding) return false;
      const under = pickChoosable(course, ray(x, y));
      if (!under || choice.has(under.id)) return false;
      useCourse.getState().choose([under.id]);
      buildCommands.takeLike();
      return true;
    },
    tap: (x, y, { adds }) => (useLay.getState().cornering ? touchCorner(x, y) : choose(x, y, adds)),
  };
  return {
    begin: (x, y, pointer) => {
      held = now();
      pointedBy = pointer;
      picked = false;
      return held.begin?.(x, y, pointer) ?? false;
    },
    hold: (x, y) => {
      picked = held === own && own.hold!(x, y);
      return picked || (held === hand && hand.hold!(x, y));
    },
    drag: (x, y) => {
      if (picked) {
        // What was picked up is carried on by the same finger.
        picked = false;
        held = hand;
        hand.begin!(x, y, pointedBy);
      }
      held.drag?.(x, y);
    },
    drop: () => {
      if (!picked) held.drop?.();
    },
    cancel: () => (held.cancel ?? held.drop)?.(),
    tap: (x, y, pointer) => now().tap?.(x, y, pointer),
    hover: (x, y) => now().hover?.(x, y),
  };
}

const lengths = (by: Vec3): string => {
  const along = ['x', 'y', 'z']
    .map((axis, i) => (Math.abs(by[i]) > 1e-6 ? `${axis} ${numberText(by[i])}` : ''))
    .filter(Boolean);
  return `${along.join(' · ') || 0} m`;
};
