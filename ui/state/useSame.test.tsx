import { renderHook } from '@testing-library/react-native';
import { useSame } from './useSame';

test('a list or set of the same stays the one it first was', () => {
  const { result, rerender } = renderHook(({ list }: { list: string[] }) => useSame(list), {
    initialProps: { list: ['a', 'b'] },
  });
  const first = result.current;
  rerender({ list: ['a', 'b'] });
  expect(result.current).toBe(first);
  for (const other of [['a', 'c'], ['a'], ['a', 'b', 'c'], []]) {
    rerender({ list: other });
    expect(result.current).toBe(other);
  }
  const sets = renderHook(({ set }: { set: Set<number> }) => useSame(set), {
    initialProps: { set: new Set([1, 2]) },
  });
  const kept = sets.result.current;
  sets.rerender({ set: new Set([1, 2]) });
  expect(sets.result.current).toBe(kept);
  sets.rerender({ set: new Set([1, 3]) });
  expect(sets.result.current).toEqual(new Set([1, 3]));
});
