import type { Course, Piece } from '../../course';

interface Known {
  readonly places: readonly number[];
  /** The chosen pieces in each list they were asked for in. */
  readonly lists: WeakMap<readonly Piece[], readonly Piece[]>;
}
const known = new WeakMap<ReadonlySet<string>, Known>();

/**
 * Where the chosen pieces are in a course's list, ascending. Most edits leave every piece at its place in the
 * list, so that the places of last time are only looked at again instead of sought among thousands.
 */
export function chosenPlaces(
  { pieces }: Pick<Course, 'pieces'>,
  choice: ReadonlySet<string>,
): readonly number[] {
  const before = known.get(choice);
  if (before && before.places.length === choice.size) {
    if (before.places.every((i) => i < pieces.length && choice.has(pieces[i].id))) {
      return before.places;
    }
  }
  const places: number[] = [];
  for (let i = 0; i < pieces.length && places.length < choice.size; i++) {
    if (choice.has(pieces[i].id)) places.push(i);
  }
  known.set(choice, { places, lists: new WeakMap() });
  return places;
}

/** The chosen pieces of a course, in its order; asked again for the same, the answer is the same list. */
export function chosenOf(
  course: Pick<Course, 'pieces'>,
  choice: ReadonlySet<string>,
): readonly Piece[] {
  const { pieces } = course;
  const before = known.get(choice)?.lists.get(pieces);
  if (before) return before;
  const list = chosenPlaces(course, choice).map((i) => pieces[i]);
  known.get(choice)!.lists.set(pieces, list);
  return list;
}
