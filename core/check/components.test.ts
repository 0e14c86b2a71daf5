import fc from 'fast-check';
import { stronglyConnected } from './components';

/** Which nodes can be reached from each, by trying (Warshall, 1962). */
function reachable(count: number, ways: readonly number[][]): boolean[][] {
  const can = Array.from({ length: count }, (_, a) =>
    Array.from({ length: count }, (_x, b) => a === b || ways[a].includes(b)),
  );
  for (let k = 0; k < count; k++) {
    for (let a = 0; a < count; a++) {
      for (let b = 0; b < count; b++) can[a][b] ||= can[a][k] && can[k][b];
    }
  }
  return can;
}

test('two nodes are in one group exactly when each can be reached from the other', () => {
  const graph = fc.integer({ min: 1, max: 9 }).chain((count) =>
    fc.array(fc.array(fc.nat({ max: count - 1 }), { maxLength: 4 }), {
      minLength: count,
      maxLength: count,
    }),
  );
  fc.assert(
    fc.property(graph, (ways) => {
      const groups = stronglyConnected(ways.length, (node) => ways[node]);
      expect(groups.flat().sort((a, b) => a - b)).toEqual(ways.map((_, i) => i));
      const groupOf = (node: number) => groups.findIndex((group) => group.includes(node));
      const can = reachable(ways.length, ways);
      return ways.every((_, a) =>
        ways.every((_x, b) => (groupOf(a) === groupOf(b)) === (can[a][b] && can[b][a])),
      );
    }),
    { numRuns: 500, seed: 6 },
  );
});

test('a row of a hundred thousand is no deeper than any', () => {
  const count = 100_000;
  expect(stronglyConnected(count, (i) => (i + 1 < count ? [i + 1] : []))).toHaveLength(count);
  expect(stronglyConnected(count, (i) => [(i + 1) % count])).toHaveLength(1);
});
