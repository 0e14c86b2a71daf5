import { emptyCourse } from '@/core/course';
import { layPieces } from '@/core/edit';
import { spotInView } from '../run/useRun';
import { workOf } from './work';

jest.mock('expo-router', () => ({ router: {} }));
jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('../../scene', () => jest.requireActual('../../scene/view'));

test('a finger sketches only while planning, and in other phases looks or works', () => {
  expect(workOf('plan', true)).toBe('sketch');
  expect(workOf('plan', false)).toBe('look');
  expect(workOf('lay', true)).toBe('lay');
  expect(workOf('tune', false)).toBe('tune');
  expect(workOf('share', true)).toBe('look');
});

describe('the spot in view', () => {
  const course = layPieces(emptyCourse('Trial', 'free'), [
    { family: 'ashlar', at: [0, 0, 0], size: [4, 2, 4] },
  ]);

  it('is on the ground under what is looked at', () => {
    expect(spotInView(course, [1, 9, 1], 7)).toEqual([1, 2, 1]);
  });

  it('is nowhere over the sea', () => {
    expect(spotInView(course, [9, 9, 1], 7)).toBeNull();
  });

  it('is on the stage of a side-on course, however far in front of it one looks', () => {
    expect(spotInView({ ...course, space: 'side-on' }, [1, 9, 50], 0)).toEqual([1, 2, 0]);
  });
});
