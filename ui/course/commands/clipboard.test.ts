import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { useCourse } from '../../state/courseStore';
import { showToast } from '../../parts';
import { chosenText, copyChosen, pasteChosen, pasteText } from './clipboard';

jest.mock('../../state/afterFrame');
jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('../../scene', () => ({
  ...jest.requireActual('../../scene/view'),
  ...jest.requireActual('../../scene/glide'),
}));
jest.mock('../../parts', () => ({
  ...jest.requireActual<object>('../../parts'),
  showToast: jest.fn(() => () => {}),
}));
// A page that is not served safely has no clipboard.
Object.assign(globalThis, { navigator: {} });
jest.useFakeTimers();

const course = layPieces(emptyCourse('First', 'free'), [
  { family: 'start', at: [0, 0, 0] },
  { family: 'switch', at: [4, 0, 0] },
  { family: 'gate', at: [8, 0, 0] },
  { family: 'crate', at: [20, 0, 0] },
]);
const [start, button, gate] = course.pieces;
const linked = {
  ...course,
  links: [
    {
      id: 'l1',
      cue: { kind: 'touched' as const, pieces: [button.id] },
      effects: [{ kind: 'open' as const, pieces: [gate.id] }],
    },
  ],
};
const store = () => useCourse.getState();
const told = () => (showToast as jest.Mock).mock.calls.map(([words]) => words);
const open = (id: string, what = linked) => store().open(id, 1, what, { kind: 'saved', at: 0 });

beforeEach(() => {
  (showToast as jest.Mock).mockClear();
  open('a');
});

test('pieces are pasted into another course with the links among them, as one step, and are chosen', () => {
  store().choose([button.id, gate.id]);
  const text = chosenText()!;
  const other = layPieces(emptyCourse('Second', 'free'), [{ family: 'start', at: [0, 0, 0] }]);
  open('b', { ...other, links: [] });
  pasteText(text, [50, 0, 0]);
  const { pieces, links = [] } = store().course;
  const [, ...laid] = pieces;
  expect(laid.map(({ family }) => family)).toEqual(['switch', 'gate']);
  expect(laid[1].at[0] - laid[0].at[0]).toBe(4);
  expect((laid[0].at[0] + laid[1].at[0]) / 2).toBeCloseTo(50, 0);
  expect(links[0].cue.pieces).toEqual([laid[0].id]);
  expect(links[0].effects[0].pieces).toEqual([laid[1].id]);
  expect([...store().choice]).toEqual(laid.map(({ id }) => id));
  store().undo();
  expect(store().course.pieces).toHaveLength(1);
});

test('what is cut is gone, comes back by undoing, and can be pasted where no clipboard is given', async () => {
  store().choose([gate.id]);
  await copyChosen(true);
  expect(store().course.pieces).toHaveLength(3);
  expect(told()).toEqual(['Piece cut.']);
  await pasteChosen();
  expect(store().course.pieces.at(-1)!.family).toBe('gate');
  store().undo();
  store().undo();
  expect(store().course.pieces).toHaveLength(4);
});

test('nothing chosen, other words, and a second start are told, and change nothing', async () => {
  store().choose([]);
  await copyChosen(false);
  pasteText('just words');
  pasteText(JSON.stringify({ format: 'stone-hop-kit', version: 1, name: 'x', pieces: [] }));
  store().choose([start.id]);
  pasteText(chosenText()!);
  expect(told()).toEqual([
    'Choose the pieces to copy first.',
    expect.stringMatching(/^What was copied cannot be pasted here\. /),
    expect.stringMatching(/^What was copied cannot be pasted here\. /),
    'The course has a start already.',
  ]);
  expect(store().course).toBe(linked);
});
