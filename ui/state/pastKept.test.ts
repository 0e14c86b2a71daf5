import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { useCourse } from './courseStore';
import { keepPast, takePast } from './pastKept';

const kept = new Map<string, string>();
beforeAll(() => {
  Object.defineProperty(globalThis, 'sessionStorage', {
    value: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value),
      removeItem: (key: string) => void kept.delete(key),
    },
    configurable: true,
  });
});
beforeEach(() => kept.clear());

const store = () => useCourse.getState();
const saved = { kind: 'saved', at: 0 } as const;

/** A course with three steps behind it and one taken back. */
function worked() {
  store().open('a', 1, emptyCourse('First'), saved);
  store().edit((c) => layPieces(c, [{ family: 'slab', at: [0, 0, 0] }]));
  store().edit((c) => ({ ...c, welcome: 'Come in' }));
  store().edit((c) => layPieces(c, [{ family: 'crate', at: [1, 1, 0] }]));
  store().edit((c) => ({ ...c, notes: 'Taken back' }));
  store().undo();
}

test('after a reload as much is undone, and done again, as before', () => {
  worked();
  keepPast();
  // The course comes back from the server, as other objects with their fields in another order.
  const { pieces, ...rest } = structuredClone(store().course);
  store().open('a', 2, { pieces, ...rest }, saved);
  expect(store().past).toHaveLength(0);
  takePast();
  expect(store().past).toHaveLength(3);
  store().redo();
  expect(store().course.notes).toBe('Taken back');
  for (let i = 0; i < 4; i++) store().undo();
  expect(store().course.pieces).toHaveLength(0);
  expect('welcome' in store().course && store().course.welcome !== undefined).toBe(false);
});

test('what was done elsewhere meanwhile is not undone by steps that lead from something else', () => {
  worked();
  keepPast();
  store().open('a', 3, { ...store().course, name: 'Renamed elsewhere' }, saved);
  takePast();
  expect(store().past).toHaveLength(0);
  keepPast();
  worked();
  keepPast();
  store().open('b', 1, store().course, saved);
  takePast();
  expect(store().past).toHaveLength(0);
});

test('very many large steps are kept as far as there is room', () => {
  store().open('a', 1, emptyCourse('Large'), saved);
  for (let i = 0; i < 40; i++) {
    store().edit((c) => ({ ...c, notes: String(i).padEnd(100_000, 'x') }));
  }
  keepPast();
  expect([...kept.values()][0].length).toBeLessThan(2_000_000);
  store().open('a', 1, structuredClone(store().course), saved);
  takePast();
  expect(store().past.length).toBeGreaterThan(5);
  expect(store().past.length).toBeLessThan(40);
});
