import { act, renderHook } from '@testing-library/react-native';
import { layPieces } from '@/core/edit';
import { emptyCourse, type Course } from '@/core/course';
import { useView } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { usePlaces } from '../../state/places';
import { useLay } from './laying';
import { placeNow, useOpening } from './opening';

jest.mock('../../scene', () => ({
  ...jest.requireActual('../../scene/view'),
  ...jest.requireActual('../../scene/glide'),
}));

const view = () => useView.getState();
const long: Course = layPieces(emptyCourse('Long'), [
  { family: 'start', at: [3, 1, 2] },
  ...Array.from({ length: 20 }, (_, i) => ({
    family: 'slab',
    at: [i * 6, 0, 0] as [number, number, number],
  })),
]);
const open = (id: string) => useCourse.getState().open(id, 1, long, { kind: 'saved', at: 0 });
const reduce = (matches: boolean) => {
  window.matchMedia = (() => ({ matches })) as never;
};

beforeEach(() => {
  jest.useFakeTimers();
  usePlaces.setState({ courses: {} });
  view().resize(390, 560);
});
afterEach(() => jest.useRealTimers());

test('all of a course is seen for a moment, then its start', () => {
  reduce(false);
  open('a');
  renderHook(() => useOpening('a'));
  const whole = view().distance;
  expect(whole).toBeGreaterThan(100);
  act(() => jest.advanceTimersByTime(4000));
  expect(view().distance).toBeLessThan(40);
  expect(view().target[0]).toBeCloseTo(5.5, 6);
  expect(useLay.getState().level).toBe(1);
});

test('whoever moves the view while all is seen keeps it', () => {
  reduce(false);
  open('b');
  renderHook(() => useOpening('b'));
  act(() => {
    view().zoom(0.7);
    jest.advanceTimersByTime(4000);
  });
  expect(view().distance).toBeGreaterThan(60);
});

test('one comes back to where one worked last, with the work plane', () => {
  reduce(true);
  open('c');
  const first = renderHook(() => useOpening('c'));
  act(() => {
    useLay.setState({ depth: 4 });
    view().look({ target: [60, 3, 1], distance: 18 });
    jest.advanceTimersByTime(2000);
  });
  const left = placeNow();
  expect(usePlaces.getState().courses.c.last).toEqual(left);
  first.unmount();
  view().look({ target: [0, 0, 0], distance: 9 });
  useLay.setState({ depth: 0 });
  renderHook(() => useOpening('c'));
  expect(placeNow()).toEqual(left);
});
