import type { Course, Piece } from '../../course';
import { changePieces } from './place';

const outerOf = (group: string): string => group.split('/')[0];

/** A maker of names no group of the course has yet. */
export function freshGroup(course: Course): () => string {
  let highest = 0;
  for (const { group } of course.pieces) {
    for (const part of group?.split('/') ?? []) {
      const number = /^g(\d+)$/.exec(part);
      if (number) highest = Math.max(highest, Number(number[1]));
    }
  }
  return () => `g${++highest}`;
}

/**
 * Puts the chosen pieces into one group. Groups among them become groups within it; a group within a
 * group is the deepest there is, so what was within those joins them.
 */
export function groupPieces(course: Course, choice: ReadonlySet<string>): Course {
  const name = freshGroup(course)();
  return changePieces(course, choice, (piece) => {
    piece.group = piece.group ? `${name}/${outerOf(piece.group)}` : name;
  });
}

/** Takes the chosen pieces out of their outermost group; `all` takes them out of every group. */
export const ungroupPieces = (course: Course, choice: ReadonlySet<string>, all = false): Course =>
  changePieces(course, choice, (piece) => {
    const inner = piece.group?.split('/')[1];
    if (inner && !all) piece.group = inner;
    else delete piece.group;
  });

/** The chosen pieces with all that is grouped with them. */
export function withGroups(course: Course, choice: Iterable<string>): Set<string> {
  const ids = new Set(choice);
  const groups = new Set<string>();
  for (const { id, group } of course.pieces) if (group && ids.has(id)) groups.add(outerOf(group));
  if (groups.size > 0) {
    for (const { id, group } of course.pieces) {
      if (group && groups.has(outerOf(group))) ids.add(id);
    }
  }
  return ids;
}

const layerOf = (course: Pick<Course, 'layers'>, piece: Piece) =>
  piece.layer ? course.layers?.find(({ id }) => id === piece.layer) : undefined;

/** Whether a piece is out of sight while building, by itself or with its layer. */
export const isHidden = (course: Pick<Course, 'layers'>, piece: Piece): boolean =>
  !!piece.hidden || !!layerOf(course, piece)?.hidden;

/** Whether a piece is finished and not to be touched, by itself or with its layer. */
export const isLocked = (course: Pick<Course, 'layers'>, piece: Piece): boolean =>
  !!piece.locked || !!layerOf(course, piece)?.locked;

/**
 * Hides or shows, locks or unlocks the chosen pieces.
 * @param course the course as it is; it stays so
 * @param choice ids of the pieces it is done to
 * @param mark what is set or taken away
 * @param on whether it is so from now on
 */
export const markPieces = (
  course: Course,
  choice: ReadonlySet<string>,
  mark: 'hidden' | 'locked',
  on: boolean,
): Course =>
  changePieces(course, choice, (piece) => {
    if (on) piece[mark] = true;
    else delete piece[mark];
  });

/** Shows everything again, or unlocks it: pieces and layers. */
export function clearMarks(course: Course, mark: 'hidden' | 'locked'): Course {
  const all = new Set(course.pieces.filter((piece) => piece[mark]).map(({ id }) => id));
  const cleared = markPieces(course, all, mark, false);
  return course.layers?.some((layer) => layer[mark])
    ? { ...cleared, layers: course.layers.map((layer) => ({ ...layer, [mark]: false })) }
    : cleared;
}

/** A new layer at the end of the list. */
export function addLayer(course: Course, name: string): { course: Course; id: string } {
  const taken = new Set(course.layers?.map(({ id }) => id));
  let number = 1;
  while (taken.has(`l${number}`)) number++;
  const id = `l${number}`;
  return {
    course: { ...course, layers: [...(course.layers ?? []), { id, name: name.slice(0, 40) }] },
    id,
  };
}

/** Changes a layer: its name, whether it is hidden or locked. */
export const changeLayer = (
  course: Course,
  id: string,
  change: { name?: string; hidden?: boolean; locked?: boolean },
): Course => ({
  ...course,
  layers: course.layers?.map((layer) => (layer.id === id ? { ...layer, ...change } : layer)),
});

/** Moves a layer up or down the list. */
export function moveLayer(course: Course, id: string, by: 1 | -1): Course {
  const layers = [...(course.layers ?? [])];
  const from = layers.findIndex((layer) => layer.id === id);
  const to = from + by;
  if (from < 0 || to < 0 || to >= layers.length) return course;
  [layers[from], layers[to]] = [layers[to], layers[from]];
  return { ...course, layers };
}

/** Takes a layer away; its pieces stay, in none. */
export function removeLayer(course: Course, id: string): Course {
  const inIt = new Set(course.pieces.filter(({ layer }) => layer === id).map((piece) => piece.id));
  const layers = course.layers?.filter((layer) => layer.id !== id);
  const { layers: _, ...rest } = putInLayer(course, inIt, null);
  return layers?.length ? { ...rest, layers } : (rest as Course);
}

/** Puts the chosen pieces into a layer, or into none. */
export const putInLayer = (
  course: Course,
  choice: ReadonlySet<string>,
  layer: string | null,
): Course =>
  changePieces(course, choice, (piece) => {
    if (layer) piece.layer = layer;
    else delete piece.layer;
  });
