import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { showToast } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { useOpen, type OpenSheet } from './openStore';

jest.mock('../../parts', () => ({ showToast: jest.fn(() => () => {}) }));

const sheet = () => useOpen.getState().sheet;
const open = (which: OpenSheet) => useOpen.getState().open(which);

beforeEach(() => {
  jest.mocked(showToast).mockClear();
  useOpen.getState().close();
  const course = layPieces(emptyCourse('Trial'), [{ family: 'slab', at: [0, 0, 0] }]);
  useCourse.getState().open('open', 1, course, { kind: 'saved', at: 0 });
});

test.each(['copies', 'swap', 'kit'] as const)(
  'without a choice %s says what is missing, and no key is dead for it',
  (which) => {
    open(which);
    expect(sheet()).toBeNull();
    expect(showToast).toHaveBeenCalledWith('Choose the pieces first.');
    useOpen.getState().toggle(which);
    expect(sheet()).toBeNull();
  },
);

test.each(['copies', 'swap', 'kit'] as const)('%s goes with what it is about', (which) => {
  useCourse.getState().choose(['p1']);
  open(which);
  expect(sheet()).toBe(which);
  useCourse.getState().edit((course) => ({ ...course, pieces: [] }));
  expect(sheet()).toBeNull();
});

test('sheets about nothing chosen stay as they are', () => {
  for (const which of ['finder', 'snap', 'plan'] as const) {
    open(which);
    expect(sheet()).toBe(which);
    useCourse.getState().choose(['p1']);
    useCourse.getState().choose([]);
    expect(sheet()).toBe(which);
    useOpen.getState().toggle(which);
    expect(sheet()).toBeNull();
  }
});
