/**
 * The groups of nodes of a directed graph that can all be reached from one another (Tarjan, 1972), those of a
 * single node among them; without recursion, so that no graph is too deep.
 * @param count nodes are numbered from 0
 * @param next the nodes that a node leads to
 */
export function stronglyConnected(
  count: number,
  next: (node: number) => readonly number[],
): number[][] {
  const found: number[][] = [];
  const order = new Int32Array(count).fill(-1);
  const low = new Int32Array(count);
  const held = new Uint8Array(count);
  const stack: number[] = [];
  let clock = 0;
  for (let root = 0; root < count; root++) {
    if (order[root] >= 0) continue;
    const way: { node: number; ways: readonly number[]; at: number }[] = [];
    const enter = (node: number) => {
      order[node] = low[node] = clock++;
      stack.push(node);
      held[node] = 1;
      way.push({ node, ways: next(node), at: 0 });
    };
    enter(root);
    while (way.length > 0) {
      const top = way[way.length - 1];
      if (top.at < top.ways.length) {
        const to = top.ways[top.at++];
        if (order[to] < 0) enter(to);
        else if (held[to]) low[top.node] = Math.min(low[top.node], order[to]);
        continue;
      }
      way.pop();
      const above = way[way.length - 1];
      if (above) low[above.node] = Math.min(low[above.node], low[top.node]);
      if (low[top.node] !== order[top.node]) continue;
      const group: number[] = [];
      for (let node = -1; node !== top.node;) {
        node = stack.pop()!;
        held[node] = 0;
        group.push(node);
      }
      found.push(group);
    }
  }
  return found;
}
