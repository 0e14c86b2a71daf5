import { useCourse } from './courseStore';
import {
  clearLines,
  toggleLastLines,
  toggleLine,
  toggleMark,
  togglePale,
  useShownRuns,
} from './shownRuns';

beforeEach(() => useCourse.setState({ id: `c${Math.random()}` }));

test('the best runs beside by itself, and five at most: the first goes', () => {
  expect(useShownRuns.getState().pales).toEqual(['best']);
  for (const key of ['1', '2', '3', '4', '5']) togglePale(key);
  expect(useShownRuns.getState().pales).toEqual(['1', '2', '3', '4', '5']);
  togglePale('3');
  expect(useShownRuns.getState().pales).toEqual(['1', '2', '4', '5']);
});

test('lines come and go one by one, and all at once', () => {
  toggleLine('1');
  toggleLine('2');
  toggleLine('1');
  toggleLastLines();
  expect(useShownRuns.getState()).toMatchObject({ lines: ['2'], lastLines: true });
  clearLines();
  expect(useShownRuns.getState()).toMatchObject({ lines: [], lastLines: false });
});

test('each kind of mark is switched by itself', () => {
  toggleMark('jump');
  expect(useShownRuns.getState().marks).toEqual(['land', 'hit', 'fall', 'wait']);
  toggleMark('jump');
  expect(useShownRuns.getState().marks).toContain('jump');
});

test('between two screens of a course, when none is open, all stays', () => {
  const { id } = useCourse.getState();
  toggleLine('1');
  useCourse.setState({ id: '' });
  useCourse.setState({ id });
  expect(useShownRuns.getState().lines).toEqual(['1']);
});

test('another course shows none of this one’s', () => {
  toggleLine('1');
  togglePale('7');
  useCourse.setState({ id: 'another' });
  expect(useShownRuns.getState()).toMatchObject({ lines: [], pales: ['best'] });
});
