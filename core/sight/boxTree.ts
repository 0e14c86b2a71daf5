/** Boxes in a leaf of the tree. */
const LEAF = 4;

/**
 * Boxes found by a line through them: halved by their middles along the longer side again and again (Kay and
 * Kajiya, Ray tracing complex scenes, 1986). Each node has the box about all below it.
 */
export class BoxTree {
  /** The boxes in the order of the leaves. */
  private readonly order: Int32Array;
  /** Of each node its box, six numbers, m. */
  private readonly bounds: number[] = [];
  /** Of each node where its boxes begin and how many they are; a node with a second child tells that instead. */
  private readonly from: number[] = [];
  private readonly count: number[] = [];
  private readonly second: number[] = [];

  /** @param boxes least x y z and greatest x y z of each, m */
  constructor(private readonly boxes: Float64Array) {
    this.order = Int32Array.from({ length: boxes.length / 6 }, (_, i) => i);
    if (this.order.length > 0) this.grow(0, this.order.length);
  }

  /**
   * Whether any of the boxes a line passes through holds what is asked.
   * @param a where the line begins, m
   * @param b where it ends, m
   * @param holds is asked of each box, by its place in the list, until it says so
   */
  some(a: ArrayLike<number>, b: ArrayLike<number>, holds: (box: number) => boolean): boolean {
    const waiting = this.order.length > 0 ? [0] : [];
    while (waiting.length > 0) {
      const node = waiting.pop()!;
      if (!crossesBox(a, b, this.bounds, 6 * node)) continue;
      if (this.second[node] >= 0) {
        waiting.push(this.second[node], node + 1);
        continue;
      }
      const end = this.from[node] + this.count[node];
      for (let i = this.from[node]; i < end; i++) {
        if (crossesBox(a, b, this.boxes, 6 * this.order[i]) && holds(this.order[i])) return true;
      }
    }
    return false;
  }

  /** Makes the node of a part of the order, and all below it. */
  private grow(from: number, to: number): void {
    const node = this.from.length;
    const box = [Infinity, Infinity, Infinity, -Infinity, -Infinity, -Infinity];
    for (let i = from; i < to; i++) {
      for (let axis = 0; axis < 3; axis++) {
        box[axis] = Math.min(box[axis], this.boxes[6 * this.order[i] + axis]);
        box[axis + 3] = Math.max(box[axis + 3], this.boxes[6 * this.order[i] + axis + 3]);
      }
    }
    this.bounds.push(...box);
    this.from.push(from);
    this.count.push(to - from);
    this.second.push(-1);
    if (to - from <= LEAF) return;
    const sides = [0, 1, 2].map((i) => box[i + 3] - box[i]);
    const axis = sides.indexOf(Math.max(...sides));
    const middle = (i: number) => this.boxes[6 * i + axis] + this.boxes[6 * i + axis + 3];
    this.order.subarray(from, to).sort((i, j) => middle(i) - middle(j) || i - j);
    const half = (from + to) >> 1;
    this.grow(from, half);
    this.second[node] = this.from.length;
    this.grow(half, to);
  }
}

/**
 * Whether a line passes through a box.
 * @param a where the line begins, m
 * @param b where it ends, m
 * @param boxes least and greatest places, m
 * @param at where the box begins in them
 */
export function crossesBox(
  a: ArrayLike<number>,
  b: ArrayLike<number>,
  boxes: ArrayLike<number>,
  at: number,
): boolean {
  let [enter, leave] = [0, 1];
  for (let axis = 0; axis < 3; axis++) {
    const from = a[axis];
    const by = b[axis] - from;
    const low = boxes[at + axis] - from;
    const high = boxes[at + axis + 3] - from;
    if (by === 0) {
      if (low > 0 || high < 0) return false;
      continue;
    }
    const [near, far] = by > 0 ? [low / by, high / by] : [high / by, low / by];
    if (near > enter) enter = near;
    if (far < leave) leave = far;
    if (enter > leave) return false;
  }
  return true;
}
