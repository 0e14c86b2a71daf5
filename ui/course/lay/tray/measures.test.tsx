import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { drawWall, layPlatform } from '@/core/edit';
import { emptyCourse, type Course } from '@/core/course';
import { familyOf } from '@/core/pieces';
import { useCourse } from '../../../state/courseStore';
import { OutlineOptions } from './OutlineOptions';
import { WallOptions } from './WallOptions';

jest.mock('../../../state/afterFrame');
jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('../../../scene', () => ({
  ...jest.requireActual('../../../scene/view'),
  ...jest.requireActual('../../../scene/glide'),
}));

const state = () => useCourse.getState();
const open = (course: Course) =>
  act(() => {
    state().open('measures', 1, course, { kind: 'saved', at: 0 });
    state().choose([course.pieces[course.pieces.length - 1].id]);
  });
const size = () => {
  const { pieces } = state().course;
  const piece = pieces[pieces.length - 1];
  return piece.size ?? familyOf(piece.family).size;
};
const press = (label: string) => fireEvent.press(screen.getByLabelText(label));

test('height, thickness and panel of a laid wall are changed in its tool, as one step to undo', () => {
  const empty = emptyCourse('Trial', 'free');
  open(
    drawWall(
      empty,
      [
        [0, 0, 0],
        [6, 0, 0],
      ],
      { family: 'wall', at: [0, 0, 0] },
    ),
  );
  render(<WallOptions />);
  const [panel, height, thick] = size();
  press('Height more');
  expect(size()[1]).toBeCloseTo(height + 0.2);
  press('Thick more');
  expect(size()[2]).toBeCloseTo(thick + 0.05);
  press('Panel more');
  expect(size()[0]).toBeCloseTo(panel + 0.5);
  act(() => state().undo());
  expect(size()).toEqual([panel, height, thick]);
});

test('the depth of a laid platform is changed in its tool', () => {
  const outline: [number, number, number][] = [
    [0, 0, 0],
    [4, 0, 0],
    [4, 0, 3],
    [0, 0, 3],
  ];
  const plane = { axis: 'y', value: 0 } as const;
  open(
    layPlatform(emptyCourse('Trial', 'free'), outline, plane, {
      family: 'platform',
      at: [0, 0, 0],
    }),
  );
  render(<OutlineOptions />);
  const before = size()[1];
  press('Depth more');
  expect(size()[1]).toBeCloseTo(before + 0.1);
  act(() => state().undo());
  expect(size()[1]).toBe(before);
});
