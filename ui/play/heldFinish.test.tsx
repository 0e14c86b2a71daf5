import { render, screen } from '@testing-library/react-native';
import { DEMO_COURSES } from '@/demo/courses';
import { DEMO_RUNS } from '@/demo/runs';
import { replay } from '@/core/run';
import { HeldFinish } from './HeldFinish';

jest.mock('@expo/vector-icons/Feather', () => () => null);

const { course } = DEMO_COURSES.find(({ slug }) => slug === 'salt-pan-hop')!;
const [own, other] = DEMO_RUNS['salt-pan-hop'].map(({ run }) => replay(course, run));

test('a run that has become one’s best is still held against the one that went along', () => {
  const along = { name: 'Morven', result: other };
  render(<HeldFinish result={own} against={along} course={course} />);
  expect(screen.getByTestId('held-against')).toHaveTextContent('Held against Morven.');
  screen.rerender(
    <HeldFinish result={own} against={{ name: 'your best', result: own }} course={course} />,
  );
  expect(screen.getByTestId('held-against')).toHaveTextContent('Held against Morven.');
});

test('where none went along it is held against none, also when it is sent', () => {
  render(<HeldFinish result={own} against={undefined} course={course} />);
  screen.rerender(
    <HeldFinish result={own} against={{ name: 'your best', result: own }} course={course} />,
  );
  expect(screen.queryByTestId('held-against')).toBeNull();
});
