import { layPieces, MOST_COPIES, refusal, type PieceInHand } from '@/core/edit';
import type { Course } from '@/core/course';
import { add, middle, scale, sub, type Vec3 } from '@/core/geometry';
import { familyOf, legOf, pieceBounds } from '@/core/pieces';
import { shortNumber, showToast } from '../../../parts';
import { sound } from '../../../music/sounds';
import { keepInSight, pixelOf, useView, type Pointer, type Tool } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { useFirsts } from '../../../state/firsts';
import { landInHand, planeNow, pointedAt } from '../landing';
import { pointedNow, useLay } from '../../open/laying';
import { willJoin } from '../../open/pulse';
import { sayLaid } from '../../open/said';

/** How far above a finger that is held down what is in hand is shown, pixels: the finger hides nothing. */
export const ABOVE_FINGER = 72;
/** Room about the ghost's picture in which a tap means the ghost, pixels. */
const ABOUT_GHOST = 10;
/** What lies over the canvas while laying, pixels. */
const COVERED = { top: 88, bottom: 120, left: 64, right: 84 };

/** Lays the piece in hand at a pointed place and says why when it may not go there. */
export function layAt(pointed: Vec3 | null): void {
  const { course, inHand, edit } = useCourse.getState();
  if (!inHand || !pointed) return;
  const { piece, refused, took } = landInHand(course, inHand, pointed);
  if (refused) {
    sound('refuse');
    showToast(`${refused}.`);
    return;
  }
  willJoin(took === 'end');
  edit((before) => layPieces(before, [piece]));
  sayLaid(piece);
  useLay.getState().touchEnd(null);
  useFirsts.getState().note('lay');
  const begun = useCourse.getState().course.pieces.at(-1);
  if (begun?.family === 'start' && legOf(begun) > 1) {
    showToast(`Leg ${legOf(begun)} begins here. It needs a lantern of its own.`);
  }
  // Another stays in hand; without a pointer to follow it waits beside the one just laid, and after a
  // join as well, where the next one will find the new open end.
  const { low, high } = pieceBounds({ ...piece, id: 'ghost' });
  const upright = planeNow().axis === 'z';
  const [px, py, pz] = pointed;
  const joinedTo: Vec3 = [high[0], low[1], (low[2] + high[2]) / 2];
  const ghostAt: Vec3 = upright ? [px + high[0] - low[0], py, pz] : [joinedTo[0] + 0.5, py, pz];
  useLay.getState().moveGhost(ghostAt);
  const next = landInHand(useCourse.getState().course, inHand, ghostAt).piece;
  keepInSight(middle(pieceBounds({ ...next, id: 'ghost' })), COVERED);
}

/** Whether a pixel is on the picture of the ghost where it stands. */
function isOnGhost(x: number, y: number): boolean {
  const { course, inHand } = useCourse.getState();
  if (!inHand) return false;
  const { piece } = landInHand(course, inHand, pointedNow());
  const { low, high } = pieceBounds({ ...piece, id: 'ghost' });
  const pixels = [0, 1, 2, 3, 4, 5, 6, 7].flatMap((i) => {
    const corner: Vec3 = [
      i & 1 ? high[0] : low[0],
      i & 2 ? high[1] : low[1],
      i & 4 ? high[2] : low[2],
    ];
    const pixel = pixelOf(useView.getState(), corner);
    return pixel ? [pixel] : [];
  });
  const within = (v: number, axis: 0 | 1) =>
    v >= Math.min(...pixels.map((p) => p[axis])) - ABOUT_GHOST &&
    v <= Math.max(...pixels.map((p) => p[axis])) + ABOUT_GHOST;
  return pixels.length > 0 && within(x, 0) && within(y, 1);
}

/** What is gathered stands apart in a row, m: side by side it would be gathered all at once. */
const PICKUP_PITCH = 1.5;

/** A row of the piece in hand from one pointed place to another, each beside the last. */
export function rowBetween(
  course: Course,
  inHand: PieceInHand,
  from: Vec3,
  to: Vec3,
): PieceInHand[] {
  const { piece } = landInHand(course, inHand, from);
  const { low, high } = pieceBounds({ ...piece, id: 'ghost' });
  const way = sub(to, from);
  const size = sub(high, low);
  // Along the axis that is dragged along most, as many as there is room for.
  const axis = [0, 1, 2].reduce((a, b) => (Math.abs(way[b]) > Math.abs(way[a]) ? b : a));
  const pitch = Math.max(familyOf(inHand.family).worth ? PICKUP_PITCH : 0.05, size[axis]);
  const count = Math.min(MOST_COPIES, Math.floor(Math.abs(way[axis]) / pitch + 0.5) + 1);
  const step: [number, number, number] = [0, 0, 0];
  step[axis] = Math.sign(way[axis]) * pitch;
  return Array.from({ length: count }, (_, i) => ({
    ...piece,
    at: add(piece.at, scale(step, i)).map((v) => Math.round(v * 1e6) / 1e6) as PieceInHand['at'],
  }));
}

/**
 * With a piece in hand: a tap lays it, on the ghost or elsewhere; held down or drawn about it is shown above the
 * finger and lands when that lets go; with rows switched on, a drag draws out a row.
 */
export function handTool(): Tool {
  let lift = 0;
  let rowFrom: Vec3 | null = null;
  let before: Vec3 | null = null;

  const show = (x: number, y: number) => {
    const at = pointedAt(useCourse.getState().course, x, y - lift);
    if (at) useLay.getState().moveGhost(at);
  };
  const drawRow = (from: Vec3, x: number, y: number) => {
    const { course, inHand } = useCourse.getState();
    const to = pointedAt(course, x, y);
    if (!inHand || !to) return;
    const row = rowBetween(course, inHand, from, to);
    const length = Math.hypot(...sub(row[row.length - 1].at, row[0].at));
    const words = `${row.length} × · ${shortNumber(Math.round(length * 100) / 100)} m`;
    const lay = useLay.getState();
    lay.moveGhost(from);
    lay.showRow(row);
    lay.showMeasure({ at: to, words });
  };
  const dropRow = () => {
    const { showRow, showMeasure } = useLay.getState();
    showRow(null);
    showMeasure(null);
  };
  const layRow = (row: readonly PieceInHand[]) => {
    const { course, edit } = useCourse.getState();
    const free = row.filter((piece) => refusal(course, piece) === null);
    if (free.length === 0) showToast('Every place of the row is taken.');
    else edit((now) => layPieces(now, free));
  };

  return {
    begin: (x: number, y: number, pointer: Pointer) => {
      before = useLay.getState().ghostAt;
      lift = pointer.kind === 'mouse' ? 0 : ABOVE_FINGER;
      const { course } = useCourse.getState();
      rowFrom = useLay.getState().rowing ? pointedAt(course, x, y) : null;
      return true;
    },
    hold: (x, y) => {
      if (!rowFrom) show(x, y);
      return true;
    },
    drag: (x, y) => {
      if (rowFrom) drawRow(rowFrom, x, y);
      else show(x, y);
    },
    drop: () => {
      const { row, ghostAt } = useLay.getState();
      if (row) layRow(row);
      else layAt(ghostAt);
      dropRow();
    },
    cancel: () => {
      useLay.getState().moveGhost(before);
      dropRow();
    },
    tap: (x, y) =>
      layAt(isOnGhost(x, y) ? pointedNow() : pointedAt(useCourse.getState().course, x, y)),
    hover: (x, y) => {
      const at = pointedAt(useCourse.getState().course, x, y);
      if (at) useLay.getState().moveGhost(at);
    },
  };
}
