import type { Course, PanelKind, Piece, WallLine } from '../../course';
import { crossingOf, lerp, rotate, transpose, sub, type Vec2, type Vec3 } from '../../geometry';
import { familyOf, toWorld, turnOf, wallPanels, type WallPanel } from '../../pieces';
import { layPiece, type PieceInHand } from '../pieces/lay';
import { groundBelow } from '../lookup/pick';
import { changePieces, roundToStored } from '../pieces/place';

/** Points nearer than this are one post, m. */
const SAME = 0.35;

/**
 * The course with a wall along a line of places, or with the line added to a wall that it begins or
 * ends at, meets or crosses, so that corners, tees and crossings are made where they meet.
 * @throws RangeError when the line has fewer than two places that differ
 */
export function drawWall(course: Course, line: readonly Vec3[], inHand: PieceInHand): Course {
  const places = line.filter((p, i) => i === 0 || flatDistance(p, line[i - 1]) > 0.05);
  if (places.length < 2) throw new RangeError('A wall needs two places that are not the same.');
  const host = course.pieces.find(
    (piece) => piece.family === 'wall' && piece.line && touchesWall(piece, places),
  );
  if (host) {
    return changePieces(course, new Set([host.id]), (piece) => {
      const own = intoPiece(piece as Piece);
      piece.line = addToLine(piece.line!, places.map(own));
    });
  }
  const [x, y, z] = places[0];
  const own = places.map((p): Vec3 => [
    roundToStored(p[0] - x),
    roundToStored(p[1] - y),
    roundToStored(p[2] - z),
  ]);
  return layPiece(course, {
    ...inHand,
    family: 'wall',
    at: [roundToStored(x), roundToStored(y), roundToStored(z)],
    line: addToLine({ points: [], runs: [] }, own),
  });
}

const flatDistance = (a: Vec3, b: Vec3): number => Math.hypot(a[0] - b[0], a[2] - b[2]);

/** From the world into a piece's own frame. */
function intoPiece(piece: Piece): (p: Vec3) => Vec3 {
  const back = transpose(turnOf(piece));
  return (p) => {
    const [x, y, z] = rotate(back, sub(p, piece.at));
    return [roundToStored(x), roundToStored(y), roundToStored(z)];
  };
}

function touchesWall(piece: Piece, places: readonly Vec3[]): boolean {
  const own = places.map(intoPiece(piece));
  const { points, runs } = piece.line!;
  if (Math.abs(own[0][1] - points[0][1]) > 1.5) return false;
  return own.some((p, i) =>
    runs.some(([a, b]) => {
      if (nearRun(points[a] as Vec3, points[b] as Vec3, p) !== null) return true;
      return (
        i > 0 &&
        crossingOf(flat(own[i - 1]), flat(p), flat(points[a] as Vec3), flat(points[b] as Vec3)) !==
          null
      );
    }),
  );
}

const flat = (p: Vec3): Vec2 => [p[0], p[2]];

/** How far along a run a place near it lies, 0 to 1, or null when it is not near. */
function nearRun(a: Vec3, b: Vec3, p: Vec3): number | null {
  const [x, z] = [b[0] - a[0], b[2] - a[2]];
  const square = x * x + z * z;
  if (square < 1e-9) return null;
  const k = Math.min(1, Math.max(0, ((p[0] - a[0]) * x + (p[2] - a[2]) * z) / square));
  return Math.hypot(a[0] + x * k - p[0], a[2] + z * k - p[2]) < SAME ? k : null;
}

interface Draft {
  points: [number, number, number][];
  runs: [number, number][];
  panels: { run: number; panel: number; kind: PanelKind }[];
}

/** A line with more places joined on: posts are shared, runs are parted where they are met or crossed. */
export function addToLine(line: WallLine, places: readonly Vec3[]): WallLine {
  const draft: Draft = {
    points: line.points.map(([x, y, z]) => [x, y, z]),
    runs: line.runs.map(([a, b]) => [a, b]),
    panels: (line.panels ?? []).map(({ run, panel, kind }) => ({ run, panel, kind })),
  };
  const nodes = places.map((p) => nodeAt(draft, p));
  for (let i = 1; i < nodes.length; i++) connect(draft, nodes[i - 1], nodes[i]);
  const { points, runs, panels } = draft;
  return panels.length > 0 ? { points, runs, panels } : { points, runs };
}

/** The post at a place: one that is there, one parted from a run, or a new one. */
function nodeAt(draft: Draft, p: Vec3): number {
  const there = draft.points.findIndex((q) => flatDistance(q, p) < SAME);
  if (there >= 0) return there;
  for (let run = 0; run < draft.runs.length; run++) {
    const [a, b] = draft.runs[run];
    const k = nearRun(draft.points[a], draft.points[b], p);
    if (k !== null) return partRun(draft, run, k);
  }
  draft.points.push([p[0], p[1], p[2]]);
  return draft.points.length - 1;
}

/** Parts a run in two at a part of its length; panels set apart on it are full again. */
function partRun(draft: Draft, run: number, k: number): number {
  const [a, b] = draft.runs[run];
  const [p, q] = [draft.points[a], draft.points[b]];
  draft.points.push(
    [0, 1, 2].map((i) => roundToStored(p[i] + (q[i] - p[i]) * k)) as [number, number, number],
  );
  const node = draft.points.length - 1;
  draft.runs[run] = [a, node];
  draft.runs.push([node, b]);
  draft.panels = draft.panels.filter((panel) => panel.run !== run);
  return node;
}

/** A run between two posts, parted wherever it crosses others or passes a post. */
function connect(draft: Draft, from: number, to: number): void {
  if (from === to) return;
  const [a, b] = [draft.points[from], draft.points[to]];
  const stops: { k: number; node: number }[] = [];
  draft.points.forEach((p, node) => {
    if (node === from || node === to) return;
    const k = nearRun(a, b, p);
    if (k !== null && k > 0.001 && k < 0.999) stops.push({ k, node });
  });
  for (let run = 0; run < draft.runs.length; run++) {
    const [c, d] = draft.runs[run];
    if ([c, d].some((n) => n === from || n === to)) continue;
    const met = crossingOf(flat(a), flat(b), flat(draft.points[c]), flat(draft.points[d]));
    if (!met) continue;
    const node = nodeAt(draft, [met[0], a[1], met[1]]);
    const k = nearRun(a, b, draft.points[node]) ?? 0.5;
    if (!stops.some((stop) => stop.node === node)) stops.push({ k, node });
  }
  const way = [from, ...stops.sort((p, q) => p.k - q.k).map(({ node }) => node), to];
  for (let i = 1; i < way.length; i++) {
    const [p, q] = [way[i - 1], way[i]];
    const known = draft.runs.some(([c, d]) => (c === p && d === q) || (c === q && d === p));
    if (p !== q && !known) draft.runs.push([p, q]);
  }
}

/**
 * Makes a panel of a wall a doorway, a window, a half panel, nothing, or full again.
 * @param course the course as it is; it stays so
 * @param id of the wall
 * @param run which of its lines
 * @param panel which panel of the line
 * @param kind what the panel is
 */
export const setPanel = (
  course: Course,
  id: string,
  run: number,
  panel: number,
  kind: PanelKind | 'full',
): Course =>
  changePieces(course, new Set([id]), (piece) => {
    if (!piece.line) return;
    const others = (piece.line.panels ?? []).filter((p) => p.run !== run || p.panel !== panel);
    const panels = kind === 'full' ? others : [...others, { run, panel, kind }];
    const { panels: _, ...line } = piece.line;
    piece.line = panels.length > 0 ? { ...line, panels } : line;
  });

/**
 * Moves a post of a wall to a place in the world; the runs at it follow.
 * @param course the course as it is; it stays so
 * @param id of the wall
 * @param post which corner of its line
 * @param to in the world, m
 */
export const movePost = (course: Course, id: string, post: number, to: Vec3): Course =>
  changePieces(course, new Set([id]), (piece) => {
    if (!piece.line) return;
    const [x, y, z] = intoPiece(piece as Piece)(to);
    piece.line.points[post] = [x, y, z];
  });

/** Ground this much off a straight line between two posts gets a post of its own, m. */
const UNEVEN = 0.15;

/**
 * Stands a wall on the ground: every post on what is below it, and posts more wherever the ground between
 * two of them is uneven, at the most one a panel's length. Over open water it stays at its height.
 */
export function settleWall(course: Course, id: string): Course {
  const wall = course.pieces.find((piece) => piece.id === id);
  if (!wall?.line) return course;
  const others = { ...course, pieces: course.pieces.filter((piece) => piece !== wall) };
  const [place, own] = [toWorld(wall), intoPiece(wall)];
  const onGround = (p: Vec3): Vec3 => {
    const [x, y, z] = place(p);
    return own([x, groundBelow(others, [x, y, z]) ?? y, z]);
  };
  const [panel] = wall.size ?? familyOf('wall').size;
  const was = wall.line;
  const draft: Draft = {
    points: was.points.map((p) => [...onGround(p as Vec3)]),
    runs: [...was.runs],
    panels: [...(was.panels ?? [])],
  };
  for (let run = 0; run < draft.runs.length; run++) settleRun(draft, run, panel, onGround);
  const stood =
    draft.points.length === was.points.length &&
    draft.points.every((p, i) => p[1] === was.points[i][1]);
  if (stood) return course;
  const { panels, ...line } = draft;
  return changePieces(course, new Set([id]), (piece) => {
    piece.line = panels.length > 0 ? { ...line, panels } : line;
  });
}

/** Parts a run where the ground is furthest from it; what that makes is looked at in its turn. */
function settleRun(draft: Draft, run: number, panel: number, onGround: (p: Vec3) => Vec3): void {
  const [a, b] = draft.runs[run].map((node) => draft.points[node] as Vec3);
  const pieces = Math.floor(flatDistance(a, b) / panel);
  let worst = UNEVEN;
  let at: { k: number; p: Vec3 } | null = null;
  for (let i = 1; i < pieces; i++) {
    const k = i / pieces;
    const p = onGround(lerp(a, b, k));
    const off = Math.abs(p[1] - (a[1] + (b[1] - a[1]) * k));
    if (off > worst) {
      worst = off;
      at = { k, p };
    }
  }
  if (!at) return;
  const node = partRun(draft, run, at.k);
  draft.points[node] = [...at.p];
  settleRun(draft, run, panel, onGround);
}

/** Takes a post away, and the runs at it; a wall with no run left goes with it. */
export function removePost(course: Course, id: string, post: number): Course {
  const piece = course.pieces.find((p) => p.id === id);
  if (!piece?.line) return course;
  const kept = piece.line.runs
    .map((run, i) => ({ run, i }))
    .filter(({ run }) => !run.includes(post));
  if (kept.length === 0) return { ...course, pieces: course.pieces.filter((p) => p !== piece) };
  const renumber = (n: number) => (n > post ? n - 1 : n);
  const runOf = new Map(kept.map(({ i }, to) => [i, to]));
  const panels = (piece.line.panels ?? []).flatMap((panel) => {
    const run = runOf.get(panel.run);
    return run === undefined ? [] : [{ ...panel, run }];
  });
  const line: WallLine = {
    points: piece.line.points.filter((_, i) => i !== post),
    runs: kept.map(({ run: [a, b] }) => [renumber(a), renumber(b)]),
    ...(panels.length > 0 ? { panels } : {}),
  };
  return { ...course, pieces: course.pieces.map((p) => (p === piece ? { ...p, line } : p)) };
}

/** The posts of a wall where they stand. */
export const postsOf = (piece: Piece): Vec3[] => {
  const place = toWorld(piece);
  return (piece.line?.points ?? []).map(([x, y, z]) => place([x, y, z]));
};

/** The panel of a wall nearest to a place, with where it stands in the world. */
export function panelAt(piece: Piece, p: Vec3): WallPanel | null {
  if (!piece.line) return null;
  const [panel, , thickness] = piece.size ?? familyOf('wall').size;
  const own = intoPiece(piece)(p);
  let best: WallPanel | null = null;
  let least = Infinity;
  for (const candidate of wallPanels(piece.line, { panel, thickness }).panels) {
    const away = flatDistance(candidate.at, own);
    if (away < least) {
      least = away;
      best = candidate;
    }
  }
  return best;
}
