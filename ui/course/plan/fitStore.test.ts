import { layPieces, type Fit } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { useCourse } from '../../state/courseStore';
import { dropFit, fitOf, keepFit, layFit, layStretch, stretchAbout, useFit } from './fitStore';

jest.mock('../../parts', () => ({ showToast: jest.fn(() => () => {}) }));

const state = () => useCourse.getState();
const found = () => fitOf(state().course, state().id, useFit.getState());
const fit = (...at: number[]): Fit =>
  ({
    pieces: at.map((x) => ({ family: 'straight', at: [x, 0, 0] })),
    length: 3 * at.length,
    closed: false,
    deviation: 0.1,
    at: [0, 0, 0],
  }) as unknown as Fit;
const xs = () => state().course.pieces.map(({ at }) => at[0]);

beforeEach(() => {
  keepFit();
  const course = layPieces(emptyCourse('Trial', 'free'), [{ family: 'start', at: [-9, 0, 0] }]);
  state().open(
    'fit',
    1,
    {
      ...course,
      sketch: {
        points: [
          [0, 0, 0],
          [9, 0, 0],
        ],
      },
    },
    { kind: 'saved', at: 0 },
  );
});

test('fitted again after the sketch was changed there is one track, and the change is kept', () => {
  layFit(fit(0, 3));
  state().edit(
    (course) => ({
      ...course,
      sketch: {
        points: [
          [0, 0, 0],
          [12, 0, 0],
        ],
      },
    }),
    'sketch',
  );
  layFit(fit(0, 4, 8));
  expect(xs()).toEqual([-9, 0, 4, 8]);
  expect(state().course.sketch!.points[1]).toEqual([12, 0, 0]);
  // It is one step, and what was before it another.
  state().undo();
  expect(xs()).toEqual([-9, 0, 3]);
  expect(state().course.sketch!.points[1]).toEqual([12, 0, 0]);
  state().undo();
  expect(state().course.sketch!.points[1]).toEqual([9, 0, 0]);
});

test('dropping takes the track away, and nothing done since', () => {
  layFit(fit(0, 3));
  state().edit((course) => layPieces(course, [{ family: 'slab', at: [50, 0, 0] }]));
  dropFit();
  expect(xs()).toEqual([-9, 50]);
  expect(found()).toBeNull();
  dropFit();
  expect(xs()).toEqual([-9, 50]);
});

test('undone, deleted or kept it is no longer asked about, and another course has none of it', () => {
  layFit(fit(0, 3));
  expect(found()!.ids).toHaveLength(2);
  state().undo();
  expect(found()).toBeNull();
  state().redo();
  expect(found()).not.toBeNull();
  keepFit();
  expect(found()).toBeNull();
  layFit(fit(20));
  expect(xs()).toEqual([-9, 0, 3, 20]);
  state().open('other', 1, state().course, { kind: 'saved', at: 0 });
  expect(found()).toBeNull();
});

test('what symmetry lays beside it goes with it', () => {
  state().edit((course) => ({ ...course, symmetry: { kind: 'mirror-z', at: [0, -20] } }));
  layFit(fit(0, 3));
  expect(found()!.ids).toHaveLength(4);
  dropFit();
  expect(xs()).toEqual([-9]);
});

test('a stretch laid anew takes its place in the track, which can still be dropped whole', () => {
  layFit(fit(0, 3, 6, 9, 12));
  const ids = found()!.ids;
  layStretch(fit(4, 5), [ids[1], ids[2]]);
  expect(xs().sort((a, b) => a - b)).toEqual([-9, 0, 4, 5, 9, 12]);
  const places = new Map(state().course.pieces.map(({ id, at }) => [id, at[0]]));
  expect(found()!.ids.map((id) => places.get(id))).toEqual([0, 4, 5, 9, 12]);
  dropFit();
  expect(xs()).toEqual([-9]);
  state().undo();
  state().undo();
  expect(xs()).toEqual([-9, 0, 3, 6, 9, 12]);
});

test('a branch is fitted beside the route, not in its place', () => {
  layFit(fit(0, 3));
  layFit(fit(30, 33), 1);
  expect(xs()).toEqual([-9, 0, 3, 30, 33]);
});

test('the stretch about a point is what lies as far as its neighbours', () => {
  state().edit((now) => ({
    ...now,
    sketch: { points: [0, 15, 30, 45, 60].map((x): [number, number, number] => [x, 0, 0]) },
  }));
  layFit(fit(...Array.from({ length: 20 }, (_, i) => i * 4)));
  const stretch = stretchAbout(state().course, found()!.ids, { line: 0, index: 2 });
  expect(stretch!.map(({ at }) => at[0])).toEqual([16, 20, 24, 28, 32, 36, 40, 44]);
  expect(stretchAbout(state().course, found()!.ids, { line: 3, index: 0 })).toBeNull();
});
