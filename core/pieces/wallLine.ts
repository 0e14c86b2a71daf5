import type { PanelKind, WallLine } from '../course';
import {
  convexHull,
  mapPoints,
  prism,
  signedArea,
  turnedRight,
  type Polyhedron,
  type Vec2,
  type Vec3,
} from '../geometry';

/** What a wall's line is built with, m. */
export interface WallMeasures {
  /** Length that panels come near to. */
  readonly panel: number;
  readonly height: number;
  readonly thickness: number;
  readonly posts: 'nodes' | 'panels' | 'none';
}

/** A panel of a wall: which it is, and where it stands. */
export interface WallPanel {
  readonly run: number;
  readonly panel: number;
  readonly kind: PanelKind | 'full';
  /** Its corners over the map: right side from start to end, then the left side back. */
  readonly outline: readonly Vec2[];
  /** Middle of its foot. */
  readonly at: Vec3;
}

interface Arm {
  readonly run: number;
  /** Whether the run begins here. */
  readonly out: boolean;
  /** Unit direction away from the node. */
  readonly d: Vec2;
  readonly length: number;
}
interface RunEnd {
  readonly left: Vec2;
  readonly right: Vec2;
}

const flat = (p: Vec3): Vec2 => [p[0], p[2]];
const cross = (a: Vec2, b: Vec2): number => a[0] * b[1] - a[1] * b[0];
const along = (p: Vec2, d: Vec2, s: number): Vec2 => [p[0] + d[0] * s, p[1] + d[1] * s];
const leftOf = (d: Vec2): Vec2 => [-d[1], d[0]];

/** Anticlockwise order of directions in the plane, by half plane and then by cross product. */
function byAngle(a: Vec2, b: Vec2): number {
  const half = ([x, y]: Vec2) => (y > 0 || (y === 0 && x > 0) ? 0 : 1);
  return half(a) - half(b) || -cross(a, b);
}

function armsOf({ points, runs }: WallLine): Arm[][] {
  const arms: Arm[][] = points.map(() => []);
  runs.forEach(([from, to], run) => {
    const [a, b] = [points[from], points[to]];
    if (!a || !b) return;
    const [x, z] = [b[0] - a[0], b[2] - a[2]];
    const length = Math.sqrt(x * x + z * z);
    if (length < 1e-6) return;
    arms[from].push({ run, out: true, d: [x / length, z / length], length });
    arms[to].push({ run, out: false, d: [-x / length, -z / length], length });
  });
  return arms.map((list) => list.sort((p, q) => byAngle(p.d, q.d)));
}

/** Where the side of one arm meets the side of the next: the mitre. */
function mitre(node: Vec2, a: Arm, b: Arm, half: number): Vec2 {
  const beside = along(node, leftOf(a.d), half);
  const turn = cross(a.d, b.d);
  if (a === b || Math.abs(turn) < 1e-6) return beside;
  const [la, lb] = [leftOf(a.d), leftOf(b.d)];
  const gap: Vec2 = [(-lb[0] - la[0]) * half, (-lb[1] - la[1]) * half];
  const reach = cross(gap, b.d) / turn;
  const most = Math.min(6 * half, 0.45 * Math.min(a.length, b.length));
  return along(beside, a.d, Math.min(most, Math.max(-most, reach)));
}

/** The panels of a wall in order of its runs, and the fillings where three or more runs meet. */
export function wallPanels(
  line: WallLine,
  measures: Pick<WallMeasures, 'panel' | 'thickness'>,
): { panels: WallPanel[]; fillings: Vec2[][] } {
  const half = measures.thickness / 2;
  const arms = armsOf(line);
  const ends = new Map<string, RunEnd>();
  const fillings: Vec2[][] = [];
  arms.forEach((list, node) => {
    const at = flat(line.points[node]);
    const corners = list.map((arm, i) => mitre(at, arm, list[(i + 1) % list.length], half));
    list.forEach((arm, i) => {
      const before = list[(i + list.length - 1) % list.length];
      const right =
        list.length === 1 ? along(at, leftOf(arm.d), -half) : corners[list.indexOf(before)];
      ends.set(`${arm.run} ${arm.out}`, { left: corners[i], right });
    });
    if (list.length > 2) {
      const hull = convexHull(corners);
      if (Math.abs(signedArea(hull)) > 1e-6) {
        fillings.push(turnedRight(hull));
      }
    }
  });
  const kinds = new Map(
    (line.panels ?? []).map(({ run, panel, kind }) => [`${run} ${panel}`, kind] as const),
  );
  const panels: WallPanel[] = [];
  line.runs.forEach(([from, to], run) => {
    const [begin, finish] = [ends.get(`${run} true`), ends.get(`${run} false`)];
    if (!begin || !finish) return;
    const [a, b] = [line.points[from], line.points[to]];
    const [x, z] = [b[0] - a[0], b[2] - a[2]];
    const length = Math.sqrt(x * x + z * z);
    const d: Vec2 = [x / length, z / length];
    const count = Math.max(1, Math.round(length / Math.max(measures.panel, 3 * half)));
    const joint = (i: number): RunEnd => {
      if (i === 0) return begin;
      // Seen from its end, a run's left is its right.
      if (i === count) return { left: finish.right, right: finish.left };
      const p = along(flat(a), d, (length * i) / count);
      return { left: along(p, leftOf(d), half), right: along(p, leftOf(d), -half) };
    };
    for (let panel = 0; panel < count; panel++) {
      const [s, e] = [joint(panel), joint(panel + 1)];
      const k = (panel + 0.5) / count;
      panels.push({
        run,
        panel,
        kind: kinds.get(`${run} ${panel}`) ?? 'full',
        outline: [s.right, e.right, e.left, s.left],
        at: [a[0] + x * k, a[1] + (b[1] - a[1]) * k, a[2] + z * k],
      });
    }
  });
  return { panels, fillings };
}

/** The part of a panel's outline between two parts of its length, 0 to 1. */
function stretch([r0, r1, l1, l0]: readonly Vec2[], from: number, to: number): Vec2[] {
  const mix = (p: Vec2, q: Vec2, k: number): Vec2 => [
    p[0] + (q[0] - p[0]) * k,
    p[1] + (q[1] - p[1]) * k,
  ];
  return [mix(r0, r1, from), mix(r0, r1, to), mix(l0, l1, to), mix(l0, l1, from)];
}

/** The solids of a wall: convex, mitred, standing at the heights of its line. */
export function wallSolids(
  line: WallLine,
  measures: WallMeasures,
): { wall: Polyhedron[]; posts: Polyhedron[] } {
  const { panels, fillings } = wallPanels(line, measures);
  const { height, thickness } = measures;
  const wall: Polyhedron[] = [];
  const stand = (outline: readonly Vec2[], run: number | null, low: number, high: number) => {
    if (signedArea(outline) < 1e-6 || high - low < 1e-6) return;
    // Where a run is shorter than its mitres its outline folds; the hull of it still closes the wall.
    wall.push(mapPoints(prism(turnedRight(convexHull(outline)), low, high), groundOf(line, run)));
  };
  for (const { run, kind, outline } of panels) {
    const length = lengthOf(outline);
    const side = Math.max(0.12, (1 - 1.2 / Math.max(length, 0.01)) / 2);
    const [from, to] = [Math.min(side, 0.4), 1 - Math.min(side, 0.4)];
    if (kind === 'out') continue;
    if (kind === 'full') stand(outline, run, 0, height);
    else if (kind === 'half') stand(outline, run, 0, height * 0.45);
    else {
      const head = Math.min(height * 0.82, Math.max(height * 0.6, 1.9));
      stand(stretch(outline, 0, from), run, 0, height);
      stand(stretch(outline, to, 1), run, 0, height);
      stand(stretch(outline, from, to), run, head, height);
      if (kind === 'window') stand(stretch(outline, from, to), run, 0, height * 0.38);
    }
  }
  fillings.forEach((outline) => stand(outline, null, 0, height));
  return { wall, posts: postsOf(line, measures, panels, thickness) };
}

const lengthOf = ([r0, r1]: readonly Vec2[]): number => {
  const [x, z] = [r1[0] - r0[0], r1[1] - r0[1]];
  return Math.sqrt(x * x + z * z);
};

/** Lifts what stands on a run by the height of its line there; linear, so that faces stay flat. */
function groundOf(line: WallLine, run: number | null): (p: Vec3) => Vec3 {
  if (run === null) return (p) => p;
  const [from, to] = line.runs[run];
  const [a, b] = [line.points[from], line.points[to]];
  const [x, z] = [b[0] - a[0], b[2] - a[2]];
  const square = x * x + z * z;
  return (p) => {
    const k = ((p[0] - a[0]) * x + (p[2] - a[2]) * z) / square;
    return [p[0], p[1] + a[1] + (b[1] - a[1]) * k, p[2]];
  };
}

function postsOf(
  line: WallLine,
  { height, posts }: WallMeasures,
  panels: readonly WallPanel[],
  thickness: number,
): Polyhedron[] {
  if (posts === 'none') return [];
  const side = thickness * 0.72;
  const post = (at: Vec3, d: Vec2): Polyhedron => {
    const l = leftOf(d);
    const corner = (u: number, v: number): Vec2 => [
      at[0] + (d[0] * u + l[0] * v) * side,
      at[2] + (d[1] * u + l[1] * v) * side,
    ];
    const outline = [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)];
    return prism(outline, at[1], at[1] + height + 0.14, Math.min(0.06, side / 3));
  };
  const stood = armsOf(line).flatMap((list, node) => {
    const straight =
      list.length === 2 && Math.abs(cross(list[0].d, list[1].d)) < 1e-3 && posts === 'nodes';
    return list.length === 0 || straight ? [] : [post(line.points[node], list[0].d)];
  });
  if (posts === 'nodes') return stood;
  const joints = panels
    .filter(({ panel }) => panel > 0)
    .map(({ outline: [r0, r1, , l0] }) => {
      const length = lengthOf([r0, r1]) || 1;
      const at: Vec3 = [(r0[0] + l0[0]) / 2, 0, (r0[1] + l0[1]) / 2];
      return post(at, [(r1[0] - r0[0]) / length, (r1[1] - r0[1]) / length]);
    });
  return [...stood, ...joints];
}
