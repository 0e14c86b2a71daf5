import { emptyCourse, type Course, type Link } from '../../course';
import { layPieces, type PieceInHand } from '../../edit';
import { applyFix, checkCourse } from '..';

const course = (...pieces: PieceInHand[]): Course =>
  layPieces(emptyCourse('Locks', 'free'), [
    { family: 'slab', at: [0, -0.5, 0], size: [30, 0.5, 6] },
    { family: 'start', at: [-6, 0, 0] },
    { family: 'lantern', at: [6, 0, 0], params: { opens: 'count', amount: 5 } },
    ...pieces,
  ]);
const shells = (count: number, family = 'shell') =>
  Array.from({ length: count }, (_, i): PieceInHand => ({ family, at: [i, 1, 0] }));
const found = (of: Course) => checkCourse(of).filter(({ rule }) => rule === 'lock');

test('a lantern for five shells where three are laid keeps the course from being shared, and asks for three', () => {
  const short = course(...shells(3));
  const [finding, ...others] = found(short);
  expect(others).toEqual([]);
  expect(finding).toMatchObject({
    weight: 'error',
    message: 'The lantern opens once 5 are gathered, but only 3 are laid.',
  });
  const mended = applyFix(short, finding.fix!);
  expect(found(mended)).toEqual([]);
  expect(mended.pieces[2].params).toMatchObject({ amount: 3 });
});

test('enough laid, or a link that opens it, is nothing to tell', () => {
  expect(found(course(...shells(5)))).toEqual([]);
  const short = course(...shells(3));
  const link: Link = {
    id: 'l1',
    cue: { kind: 'timer', seconds: 5 },
    effects: [{ kind: 'open', pieces: [short.pieces[2].id] }],
  };
  expect(found({ ...short, links: [link] })).toEqual([]);
});

test('with nothing laid there is no figure to ask for', () => {
  const [finding] = found(course());
  expect(finding.message).toBe(
    'The lantern opens once 5 are gathered, but nothing to gather is laid.',
  );
  expect(finding.fix).toBeUndefined();
});

test('worth counts as it is set, and has no bound where it comes again', () => {
  const worth = (change: Partial<Course['pieces'][number]>) => {
    const laid = course(...shells(2));
    const pieces = laid.pieces.map((piece) => {
      if (piece.family === 'lantern') return { ...piece, params: { opens: 'worth', amount: 5 } };
      return piece.family === 'shell' ? { ...piece, ...change } : piece;
    });
    return found({ ...laid, pieces });
  };
  expect(worth({})).toHaveLength(1);
  expect(worth({ worth: 3 })).toEqual([]);
  expect(worth({ worth: 2 })[0].fix?.label).toBe('Ask for 4');
  expect(worth({ respawn: 4 })).toEqual([]);
});
