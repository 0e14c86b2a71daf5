import { layPieces, removePieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { sound } from '../../music/sounds';
import { useCourse } from '../../state/courseStore';
import { soundEdits } from './courseSounds';
import { usePulse, willJoin } from '../open/pulse';

jest.mock('../../music/sounds', () => ({ sound: jest.fn() }));
const heard = sound as jest.MockedFunction<typeof sound>;

const store = () => useCourse.getState();
const lay = () =>
  store().edit((c) => layPieces(c, [{ family: 'crate', at: [c.pieces.length * 2, 0, 0] }]));
let end: () => void;

beforeEach(() => {
  jest.useFakeTimers();
  window.matchMedia = (() => ({ matches: false })) as never;
  store().open('a', 1, emptyCourse('Sounds'), { kind: 'saved', at: 0 });
  end = soundEdits();
  heard.mockClear();
});
afterEach(() => {
  end();
  jest.useRealTimers();
});

test('laying, joining, taking away, undoing and doing again sound each their own way', () => {
  lay();
  expect(heard).toHaveBeenLastCalledWith('lay');
  willJoin(true);
  lay();
  expect(heard).toHaveBeenLastCalledWith('join');
  lay();
  expect(heard).toHaveBeenLastCalledWith('lay');
  store().edit((c) => removePieces(c, new Set(['p1'])));
  expect(heard).toHaveBeenLastCalledWith('remove');
  store().undo();
  expect(heard).toHaveBeenLastCalledWith('undo');
  store().redo();
  expect(heard).toHaveBeenLastCalledWith('undo');
});

test('what is only typed, and another course that is opened, are silent', () => {
  store().edit((c) => ({ ...c, name: 'Other' }));
  store().open('b', 1, layPieces(emptyCourse('B'), [{ family: 'crate', at: [0, 0, 0] }]), {
    kind: 'saved',
    at: 0,
  });
  expect(heard).not.toHaveBeenCalled();
});

test('it stirs where a piece has landed, for a moment, and not at all where no motion is wanted', () => {
  lay();
  expect(usePulse.getState().pulse).toMatchObject({ joined: false });
  jest.advanceTimersByTime(1000);
  expect(usePulse.getState().pulse).toBeNull();
  window.matchMedia = (() => ({ matches: true })) as never;
  lay();
  expect(usePulse.getState().pulse).toBeNull();
});
