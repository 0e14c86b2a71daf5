import { applyPatch, type Course, type CoursePatch, type Piece } from '@/core/course';
import { pieceName } from '../open/pieceWords';

/** A step of making, told: what was done, and the pieces of it that are still there. */
export interface Step {
  readonly words: string;
  readonly pieces: readonly string[];
}

/**
 * The last steps of making, the last first.
 * @param past what leads back from each step to the one before, as the store keeps it
 */
export function lastSteps(
  course: Course,
  past: readonly CoursePatch[],
  most: number,
): readonly Step[] {
  const steps: Step[] = [];
  let after = course;
  for (let i = past.length - 1; i >= 0 && steps.length < most; i--) {
    const before = applyPatch(after, past[i]);
    steps.push(toldStep(before, after, past[i], course));
    after = before;
  }
  return steps;
}

/** What of a piece a step changed, the most telling first, and how that is said. */
const DEEDS: readonly [keyof Piece, string][] = [
  ['outline', 'Reshaped'],
  ['line', 'Redrew'],
  ['size', 'Sized'],
  ['turn', 'Turned'],
  ['at', 'Moved'],
  ['look', 'Painted'],
  ['motion', 'Set the motion of'],
  ['group', 'Grouped'],
  ['hidden', 'Hid or showed'],
  ['locked', 'Locked or freed'],
  ['name', 'Named'],
];

/** Fields of the course, and how a change of them is said. */
const FIELDS: Readonly<Record<string, string>> = {
  name: 'Named the course',
  sketch: 'Drew on the sketch',
  links: 'Changed what follows from what',
  sky: 'Changed the sky',
  ground: 'Painted the ground',
  runner: 'Changed the runner',
  kind: 'Changed the kind',
  tide: 'Moved the tide line',
  tempo: 'Changed the tempo',
  layers: 'Changed the layers',
  camera: 'Changed the camera',
};

/** What a step changed, told by what leads back from it: no more is looked at than that. */
function toldStep(before: Course, after: Course, back: CoursePatch, now: Course): Step {
  const old = new Map(back.pieces.map(([, piece]) => [piece.id, piece]));
  const come = back.without.map((place) => after.pieces[place]);
  const left = new Set(come.map(({ id }) => id));
  const laid = come.filter(({ id }) => !old.has(id));
  const changed = come.filter(({ id }) => old.has(id));
  const gone = [...old.values()].filter(({ id }) => !left.has(id));
  const there = new Set(now.pieces.map(({ id }) => id));
  const about = laid.length > 0 ? laid : changed;
  return {
    words: wordsOf(before, after, { laid, gone, changed }, old),
    pieces: about.map(({ id }) => id).filter((id) => there.has(id)),
  };
}

function wordsOf(
  before: Course,
  after: Course,
  { laid, gone, changed }: Record<'laid' | 'gone' | 'changed', readonly Piece[]>,
  old: ReadonlyMap<string, Piece>,
): string {
  if (laid.length > 0 && gone.length > 0) return `Laid ${named(laid)} for ${named(gone)}`;
  if (laid.length > 0) return `Laid ${named(laid)}`;
  if (gone.length > 0) return `Took away ${named(gone)}`;
  if (changed.length > 0) {
    const was = changed.map(({ id }) => old.get(id)!);
    const differs = (key: keyof Piece) =>
      changed.some((piece, i) => !same(piece[key], was[i][key]));
    if (differs('family')) return `Laid ${named(changed)} for ${named(was)}`;
    const deed = DEEDS.find(([key]) => differs(key))?.[1] ?? 'Tuned';
    return `${deed} ${named(changed)}`;
  }
  for (const key of Object.keys(FIELDS)) {
    if (!same(before[key], after[key])) return FIELDS[key];
  }
  return 'Changed the rules';
}

const same = (a: unknown, b: unknown): boolean =>
  a === b || JSON.stringify(a) === JSON.stringify(b);

function named(pieces: readonly Piece[]): string {
  const [first] = pieces;
  if (pieces.length === 1) return pieceName(first).toLowerCase();
  const alike = pieces.every(({ family }) => family === first.family);
  return alike ? `${pieces.length} × ${pieceName(first).toLowerCase()}` : `${pieces.length} pieces`;
}
