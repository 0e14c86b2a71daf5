import { fireEvent, render, screen } from '@testing-library/react-native';
import { emptyCourse } from '@/core/course';
import { layPieces } from '@/core/edit';
import { useCourse } from '../../state/courseStore';
import { Legs } from './Legs';

jest.useFakeTimers();
jest.mock('../../state/afterFrame');
jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('../../state/queries', () => ({ useCourseOnServer: () => ({ data: undefined }) }));
let mockLegs: readonly { strokes: number }[] | null = null;
jest.mock('../../state/useBest', () => ({
  useReplay: () => mockLegs && { legs: mockLegs },
}));

const legs = () => useCourse.getState().course.legs;
beforeEach(() => {
  Object.assign(globalThis, { document: { activeElement: null } });
  const course = layPieces(emptyCourse('Links'), [{ family: 'start', at: [0, 0, 0] }]);
  const inLegs = { ...course, legs: [{ name: 'Up', par: 2 }, { par: 3 }] };
  useCourse.getState().open('a', 1, inLegs, { kind: 'saved', at: 0 });
});

test('without a proof of the course as it is, or of as many legs, none is proposed', () => {
  mockLegs = null;
  render(<Legs />);
  expect(screen.queryByTestId('propose-pars')).toBeNull();
  screen.unmount();
  mockLegs = [{ strokes: 3 }];
  render(<Legs />);
  expect(screen.queryByTestId('propose-pars')).toBeNull();
});

test('pars that the proof does not meet are told, and proposed ones it meets', () => {
  mockLegs = [{ strokes: 3 }, { strokes: 2 }];
  render(<Legs />);
  expect(screen.getByTestId('pars-unmet')).toHaveTextContent(
    'No run known here meets the par of leg 1.',
  );
  fireEvent.press(screen.getByTestId('propose-pars'));
  expect(legs()).toEqual([{ name: 'Up', par: 4 }, { par: 2 }]);
  expect(screen.queryByTestId('pars-unmet')).toBeNull();
});
