import { RUN_ACTS, runActOf, runKeysOf, shownCode, useRunKeys } from './runKeys';

const { assign, reset } = useRunKeys.getState();
beforeEach(() => reset());

test('every act has a key, and no key two acts', () => {
  const all = RUN_ACTS.flatMap((act) => runKeysOf(act));
  expect(new Set(all).size).toBe(all.length);
  for (const act of RUN_ACTS) for (const code of runKeysOf(act)) expect(runActOf(code)).toBe(act);
});

test('a key given to an act is its only one; one that is taken is refused', () => {
  expect(assign('left', 'KeyJ')).toBeNull();
  expect(runActOf('KeyJ')).toBe('left');
  expect(runActOf('ArrowLeft')).toBeUndefined();
  expect(assign('right', 'KeyJ')).toBe('left');
  expect(runKeysOf('right')).toEqual(['ArrowRight', 'KeyD']);
  // What was let go may be given to another.
  expect(assign('again', 'ArrowLeft')).toBeNull();
  expect(runActOf('ArrowLeft')).toBe('again');
});

test('Esc stays the way out', () => {
  expect(assign('button', 'Escape')).toBe('fixed');
  assign('pause', 'KeyO');
  expect(runActOf('Escape')).toBe('pause');
  expect(runActOf('KeyP')).toBeUndefined();
});

test('keys are shown by their signs', () => {
  expect(['KeyJ', 'Digit7', 'ArrowUp', 'Numpad4'].map(shownCode)).toEqual(['J', '7', '↑', 'Pad 4']);
});
