import { layPieces } from '@/core/edit';
import { emptyCourse, toCourse } from '@/core/course';
import { toCourseFile } from '@/core/formats';
import { useCourse } from '../../state/courseStore';
import { showToast } from '../../parts';
import { COMMANDS } from './list';

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

const course = layPieces(
  emptyCourse('Commanded', 'free'),
  ['start', 'slab', 'block', 'drift', 'crate', 'shell', 'cairn', 'lantern'].map((family, i) => ({
    family,
    at: [3 * i, 0, (i % 3) * 4] as [number, number, number],
  })),
);
const store = () => useCourse.getState();

/** What a command may be met with: nothing chosen, one piece, several, or all, and a piece in hand. */
const MET: [string, () => void][] = [
  ['nothing chosen', () => {}],
  ['one piece chosen', () => store().choose(new Set(['p3']))],
  ['several chosen', () => store().choose(new Set(['p2', 'p3', 'p5']))],
  ['all chosen', () => store().choose(new Set(course.pieces.map(({ id }) => id)))],
  ['a piece in hand', () => store().take({ family: 'block', at: [0, 0, 0] })],
];

const nowhere = () => {};
const navigation = { to: nowhere, help: nowhere, times: nowhere, runHere: nowhere };
// A page that is not served safely has no clipboard.
Object.assign(globalThis, { navigator: {} });
jest.useFakeTimers();

test.each(COMMANDS.map((command) => [command.id, command] as const))(
  '%s leaves a sound course, or says why it cannot, whatever is chosen',
  (_, command) => {
    for (const [when, meet] of MET) {
      (showToast as jest.Mock).mockClear();
      store().open('c1', 1, course, { kind: 'saved', at: 0 });
      meet();
      const before = store().course;
      command.run({ navigation });
      const after = store().course;
      expect([when, toCourse(JSON.parse(toCourseFile(after)))]).toEqual([when, after]);
      expect(new Set(after.pieces.map(({ id }) => id)).size).toBe(after.pieces.length);
      for (const [words] of (showToast as jest.Mock).mock.calls) expect(words).toMatch(/[.!?…]$/);
      // What it did is undone in one step, and done again.
      if (after === before || command.id === 'undo' || command.id === 'redo') continue;
      store().undo();
      expect([when, store().course.pieces]).toEqual([when, before.pieces]);
      store().redo();
      expect([when, store().course.pieces]).toEqual([when, after.pieces]);
    }
  },
);
