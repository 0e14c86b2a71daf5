import { chosenOf, layPieces, layPlatform, drawWall } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { pixelOf, useView, type Tool } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { buildCommands } from '../../commands/commands';
import { LAY_TOOLS, takeTool, useLay } from '../layStore';
import { TOOLS } from '.';
import { handlesOf } from './handles';
import { layAt } from './handTool';
import { takeKit, useKitHand } from './kitTool';
import { tideKnob } from './tideTool';

jest.mock('../../../scene', () => ({
  ...jest.requireActual('../../../scene/view'),
  ...jest.requireActual('../../../scene/glide'),
}));
jest.mock('../../../parts', () => ({
  ...jest.requireActual<object>('../../../parts/format'),
  showToast: jest.fn(),
}));

const course = () => useCourse.getState().course;
const lay = () => useLay.getState();
const pixel = (place: Vec3) => pixelOf(useView.getState(), place)!;

beforeEach(() => {
  useView.getState().resize(1000, 800);
  useView.getState().look({ mode: 'above', yaw: 0, pitch: 89.5, distance: 40, target: [0, 0, 0] });
  useCourse.getState().open('a', 1, emptyCourse('Trial', 'free'), { kind: 'saved', at: 0 });
  takeTool('pieces');
  lay().set({
    level: 0,
    steps: [0.5, 0.5, 0.5],
    snapping: true,
    ends: true,
    adding: false,
    dragCopies: false,
    rowing: false,
    ghostAt: null,
  });
});

const MOUSE = { kind: 'mouse', adds: false } as const;
const FINGER = { kind: 'touch', adds: false } as const;

/** A finger from place to place, by way of some in between. */
function drag(tool: Tool, ...places: Vec3[]): boolean {
  const [first, ...rest] = places.map(pixel);
  const owned = tool.begin?.(...first, MOUSE) ?? false;
  if (!owned) return false;
  for (const at of rest) tool.drag?.(...at);
  tool.drop?.();
  return true;
}
const tap = (tool: Tool, place: Vec3) => {
  tool.begin?.(...pixel(place), MOUSE);
  tool.tap?.(...pixel(place), MOUSE);
};

test('a piece in hand is laid by taps and in rows, and refused in its own place', () => {
  const tool = TOOLS.pieces();
  useCourse.getState().take({ family: 'crate', at: [0, 0, 0] });
  tap(tool, [3.1, 0, 2.2]);
  expect(course().pieces.map(({ at }) => at)).toEqual([[3, 0, 2]]);
  // Without rows a drag only carries it about, and lands it where it ends.
  drag(tool, [-4, 0, -6], [-2, 0, -6], [1.1, 0, -6]);
  expect(course().pieces.map(({ at }) => at[0])).toEqual([3, 1]);
  useCourse.getState().undo();
  lay().set({ rowing: true });
  drag(tool, [-4, 0, 6], [-2, 0, 6.1], [1, 0, 6.1]);
  expect(course().pieces.map(({ at }) => at[0])).toEqual([3, -4, -3, -2, -1, 0, 1]);
  expect(lay().row).toBeNull();
  useCourse.getState().undo();
  expect(course().pieces).toHaveLength(1);
});

test('a finger held down shows the piece above itself, slides it, and lands it on letting go', () => {
  const tool = TOOLS.pieces();
  useCourse.getState().take({ family: 'crate', at: [0, 0, 0] });
  const [x, y] = pixel([2, 0, 3]);
  tool.begin!(x, y, FINGER);
  expect(tool.hold!(x, y)).toBe(true);
  const shown = lay().ghostAt!;
  expect(shown[0]).toBeCloseTo(2, 2);
  // Straight down, above the finger is further away.
  expect(shown[2]).toBeLessThan(2.5);
  expect(course().pieces).toHaveLength(0);
  tool.drag!(x + 40, y);
  tool.drop!();
  const [laid] = course().pieces;
  expect(laid.at[0]).toBeGreaterThan(2.5);
  expect(laid.at[2]).toBeLessThan(2.6);
});

test('a second finger takes what is held back to where it was, and lays nothing', () => {
  const tool = TOOLS.pieces();
  useCourse.getState().take({ family: 'crate', at: [0, 0, 0] });
  lay().set({ ghostAt: [-3, 0, -3] });
  tool.begin!(...pixel([2, 0, 3]), FINGER);
  tool.hold!(...pixel([2, 0, 3]));
  tool.drag!(...pixel([4, 0, 3]));
  tool.cancel!();
  expect(course().pieces).toHaveLength(0);
  expect(lay().ghostAt).toEqual([-3, 0, -3]);
});

test('a tap on the ghost lays it where it stands, one elsewhere lays it there', () => {
  const tool = TOOLS.pieces();
  useCourse.getState().take({ family: 'block', at: [0, 0, 0], size: [2, 2, 2] });
  lay().set({ ghostAt: [4, 0, 4] });
  // On its edge: by itself that would point at another place of the grid.
  tap(tool, [4.9, 2, 4.9]);
  expect(course().pieces[0].at).toEqual([4, 0, 4]);
  tap(tool, [-6, 0, -6]);
  expect(course().pieces[1].at).toEqual([-6, 0, -6]);
});

test('after laying, the view follows until the next place is clear of what lies over the scene', () => {
  useView.getState().resize(390, 560);
  const tool = TOOLS.pieces();
  useCourse.getState().take({ family: 'deck', at: [0, 0, 0], size: [4, 0.4, 4] });
  window.matchMedia = (() => ({ matches: true })) as never;
  let at: Vec3 = [0, 0, 0];
  for (let i = 0; i < 12; i++) {
    layAt(at);
    at = lay().ghostAt!;
    const [x, y] = pixelOf(useView.getState(), at)!;
    expect(x).toBeGreaterThan(40);
    expect(x).toBeLessThan(350);
    expect(y).toBeLessThan(480);
  }
  expect(course().pieces).toHaveLength(12);
  expect(tool.begin).toBeDefined();
});

test('any laid piece is taken in hand with all it is, without its ties', () => {
  useCourse.getState().edit((c) =>
    layPieces(c, [
      {
        family: 'ashlar',
        at: [0, 0, 0],
        size: [3, 1, 2],
        turn: [0, 45, 0],
        look: { material: 'moss' },
        motion: [{ kind: 'bob', height: 1, period: 2 }],
        ...({ group: 'g1', name: 'Old' } as object),
      },
    ]),
  );
  useCourse.getState().choose(['p1']);
  buildCommands.takeLike();
  const { inHand } = useCourse.getState();
  expect(inHand).toMatchObject({
    family: 'ashlar',
    size: [3, 1, 2],
    turn: [0, 45, 0],
    look: { material: 'moss' },
    motion: [{ kind: 'bob', height: 1, period: 2 }],
  });
  expect(inHand).not.toHaveProperty('group');
  expect(inHand).not.toHaveProperty('name');
  expect(inHand).not.toHaveProperty('id');
});

test('what is in hand turns about any axis, and back to where it was', () => {
  useCourse.getState().take({ family: 'ashlar', at: [0, 0, 0] });
  for (const axis of [0, 1, 2] as const) {
    lay().set({ handAxis: axis, turnStep: 15 });
    buildCommands.turn(1);
    expect(useCourse.getState().inHand!.turn![axis]).toBeCloseTo(15, 6);
    buildCommands.turn(-1);
    expect(useCourse.getState().inHand!.turn ?? [0, 0, 0]).toEqual([0, 0, 0]);
  }
  lay().set({ handAxis: 1 });
});

test('a laid piece held down is picked up as another like it, carried by the same finger, and laid', () => {
  useCourse
    .getState()
    .edit((c) => layPieces(c, [{ family: 'crate', at: [0, 0, 0], turn: [0, 30, 0] }]));
  const tool = TOOLS.pieces();
  const at = pixel([0, 1, 0]);
  tool.begin!(...at, MOUSE);
  expect(tool.hold!(...at)).toBe(false);
  tool.begin!(...at, FINGER);
  expect(tool.hold!(...at)).toBe(true);
  expect(useCourse.getState().inHand).toMatchObject({ family: 'crate', turn: [0, 30, 0] });
  // Let go at once it stays in hand, and nothing is laid.
  tool.drop!();
  expect(course().pieces).toHaveLength(1);
  useCourse.getState().take(null);
  tool.begin!(...at, FINGER);
  tool.hold!(...at);
  tool.drag!(at[0] + 120, at[1]);
  tool.drag!(at[0] + 160, at[1]);
  tool.drop!();
  expect(course().pieces).toHaveLength(2);
  expect(course().pieces[1].turn).toEqual([0, 30, 0]);
});

test('corner onto corner is one drag, and one step', () => {
  useCourse.getState().edit((c) =>
    layPieces(c, [
      { family: 'ashlar', at: [0.13, 0, 0.07], size: [2, 1, 2] },
      { family: 'ashlar', at: [6, 0, 0], size: [2, 1, 2] },
    ]),
  );
  const tool = TOOLS.pieces();
  useCourse.getState().choose(['p1']);
  lay().set({ cornering: { own: null } });
  drag(tool, [1.13, 1, 1.07], [4, 1, 1], [5, 1, 1]);
  expect(course().pieces[0].at[0]).toBeCloseTo(4, 6);
  expect(course().pieces[0].at[2]).toBeCloseTo(0, 6);
  expect(lay().cornering).toBeNull();
  useCourse.getState().undo();
  expect(course().pieces[0].at[0]).toBeCloseTo(0.13, 6);
});

test('the eraser takes away what it is drawn over, all of it one step', () => {
  useCourse.getState().edit((c) =>
    layPieces(
      c,
      [0, 2, 4, 6].map((x) => ({ family: 'crate', at: [x, 0, 0] as [number, number, number] })),
    ),
  );
  const tool = TOOLS.erase();
  drag(tool, [-2, 0, 0], [0, 1, 0], [2, 1, 0], [4, 1, 0], [5, 3, 4]);
  expect(course().pieces.map(({ at }) => at[0])).toEqual([6]);
  useCourse.getState().undo();
  expect(course().pieces).toHaveLength(4);
  tap(tool, [6, 1, 0]);
  expect(course().pieces).toHaveLength(3);
});

test('an edge of a platform is pushed out by itself, both its corners alike', () => {
  useCourse.getState().edit((c) =>
    layPlatform(
      c,
      [
        [0, 0, 0],
        [8, 0, 0],
        [8, 0, 6],
        [0, 0, 6],
      ],
      { axis: 'y', value: 0 },
      lay().platform,
    ),
  );
  const [piece] = course().pieces;
  useCourse.getState().choose([piece.id]);
  const tool = TOOLS.outline();
  const wide = () => {
    const xs = course().pieces[0].outline!.points.map(({ at }) => at[0]);
    return Math.max(...xs) - Math.min(...xs);
  };
  const before = wide();
  // On its right side, away from its middle.
  drag(tool, [8, 0, 1.5], [9, 0, 1.5], [10, 0, 1.6]);
  expect(wide()).toBeCloseTo(before + 2, 1);
  expect(course().pieces[0].outline!.points).toHaveLength(4);
  useCourse.getState().undo();
  expect(wide()).toBeCloseTo(before, 6);
});

test('any outline is filled that a finger draws', () => {
  lay().set({
    fill: 'fill',
    fillRound: true,
    floor: { family: 'slab', at: [0, 0, 0], size: [1, 0.5, 1] },
  });
  const ring = Array.from({ length: 25 }, (_, i): Vec3 => {
    const angle = (i / 24) * 2 * Math.PI;
    return [4 * Math.cos(angle), 0, 4 * Math.sin(angle)];
  });
  drag(TOOLS.fill(), ...ring);
  const count = course().pieces.length;
  // As many as a circle of 4 m has room for, and far from those of the square about it.
  expect(count).toBeGreaterThan(36);
  expect(count).toBeLessThan(60);
  lay().set({ fillRound: false, floor: { family: 'slab', at: [0, 0, 0] } });
});

test('the tide line is dragged by its knob, one step, and goes back to following the pieces', () => {
  useCourse.getState().edit((c) => layPieces(c, [{ family: 'slab', at: [0, 0, 0] }]));
  useView.getState().look({ mode: 'side', yaw: 0, pitch: 9, target: [0, 0, 0], distance: 30 });
  const tool = TOOLS.sky();
  const [x, y] = pixel(tideKnob());
  expect(tool.begin!(x, y, FINGER)).toBe(true);
  tool.drag!(x, y - 60);
  tool.drag!(x, y - 90);
  tool.drop!();
  expect(course().tide).toBeGreaterThan(0);
  // A tenth of a metre at a time, under the finger.
  expect(course().tide! * 10).toBe(Math.round(course().tide! * 10));
  const [, dragged] = pixel(tideKnob());
  expect(Math.abs(dragged - (y - 90))).toBeLessThan(4);
  useCourse.getState().undo();
  expect(course().tide).toBeUndefined();
});

test('a kit piece is seen where it would land before it does', () => {
  const kit = {
    format: 'stone-hop-kit',
    version: 1,
    id: 'k',
    name: 'Two',
    pieces: layPieces(emptyCourse('K', 'free'), [
      { family: 'crate', at: [0, 0, 0] },
      { family: 'crate', at: [1, 0, 0] },
    ]).pieces,
  } as never;
  takeKit(kit);
  const tool = TOOLS.kit();
  tool.hover!(...pixel([3.1, 0, 2.1]));
  expect(useKitHand.getState().at).toEqual([3, 0, 2]);
  expect(course().pieces).toHaveLength(0);
  tool.begin!(...pixel([3.1, 0, 2.1]), FINGER);
  tool.hold!(...pixel([3.1, 0, 2.1]));
  tool.cancel!();
  expect(course().pieces).toHaveLength(0);
  tap(tool, [3.1, 0, 2.1]);
  expect(course().pieces).toHaveLength(2);
  takeKit(null);
});

test('with a key held down a click adds to the choice, and takes out of it again', () => {
  useCourse.getState().edit((c) =>
    layPieces(c, [
      { family: 'crate', at: [0, 0, 0] },
      { family: 'crate', at: [4, 0, 0] },
    ]),
  );
  const tool = TOOLS.pieces();
  const press = (place: Vec3, adds: boolean) => tool.tap!(...pixel(place), { kind: 'mouse', adds });
  press([0, 1, 0], false);
  press([4, 1, 0], true);
  expect([...useCourse.getState().choice]).toEqual(['p1', 'p2']);
  press([0, 1, 0], true);
  expect([...useCourse.getState().choice]).toEqual(['p2']);
  press([4, 1, 0], false);
  expect([...useCourse.getState().choice]).toEqual(['p2']);
});

test('a track piece takes the open end; with nothing snapping it lies where it is held', () => {
  useCourse.getState().edit((c) => layPieces(c, [{ family: 'straight', at: [0, 0, 0] }]));
  const tool = TOOLS.pieces();
  useCourse.getState().take({ family: 'bend', at: [0, 0, 0] });
  tap(tool, [4.3, 0, 0.4]);
  expect(course().pieces[1].at).toEqual([4, 0, 0]);
  lay().set({ snapping: false });
  tap(tool, [-6.03, 0, 5.01]);
  expect(course().pieces[2].at[0]).toBeCloseTo(-6.03, 1);
});

test('what is chosen is dragged on the grid, by its handles, and as a copy, each one step', () => {
  useCourse.getState().edit((c) => layPieces(c, [{ family: 'ashlar', at: [0, 0, 0] }]));
  const tool = TOOLS.pieces();
  tap(tool, [0, 2, 0]);
  expect([...useCourse.getState().choice]).toEqual(['p1']);
  drag(tool, [0.2, 0, 0.2], [2, 0, 1], [3.3, 0, 2.1]);
  expect(course().pieces[0].at).toEqual([3, 0, 2]);
  const [x] = handlesOf(
    chosenOf(course(), useCourse.getState().choice),
    'move',
    false,
    useView.getState(),
  );
  tool.begin?.(...x.pixel, MOUSE);
  tool.drag?.(x.pixel[0] + 60, x.pixel[1]);
  tool.drop?.();
  expect(course().pieces[0].at[0]).toBeGreaterThan(3);
  expect(course().pieces[0].at.slice(1)).toEqual([0, 2]);
  lay().set({ handles: 'stretch' });
  const side = handlesOf(
    chosenOf(course(), useCourse.getState().choice),
    'stretch',
    false,
    useView.getState(),
  ).find((h) => h.axis === 0 && h.side === 1)!;
  tool.begin?.(...side.pixel, MOUSE);
  tool.drag?.(side.pixel[0] + 80, side.pixel[1]);
  tool.drop?.();
  expect(course().pieces[0].size![0]).toBeGreaterThan(2);
  lay().set({ handles: 'move', dragCopies: true });
  const before = course();
  const at = before.pieces[0].at;
  drag(tool, [at[0], 0, at[2]], [at[0] - 3, 0, at[2] - 2], [at[0] - 6, 0, at[2] - 4]);
  expect(course().pieces).toHaveLength(2);
  useCourse.getState().undo();
  expect(course()).toEqual(before);
  expect(course().pieces[0]).toBe(before.pieces[0]);
});

test('a top edge of a block is pulled up and down by hand, by steps of the grid; what has none is moved', () => {
  useCourse.getState().edit((c) =>
    layPieces(c, [
      { family: 'block', at: [0, 0, 0], size: [6, 2, 4] },
      { family: 'bush', at: [9, 0, 0] },
    ]),
  );
  useView.getState().look({ mode: 'free', pitch: 25, yaw: -20, target: [0, 1, 0] });
  useCourse.getState().choose(['p1']);
  lay().set({ handles: 'slope' });
  const tool = TOOLS.pieces();
  const edges = () =>
    handlesOf(chosenOf(course(), useCourse.getState().choice), 'slope', false, useView.getState());
  const edge = edges().find((h) => h.edge === '+x')!;
  expect(edge.at).toEqual([3, 2, 0]);
  const lower = pixel([3, 0.9, 0]);
  tool.begin?.(...edge.pixel, MOUSE);
  tool.drag?.(...lower);
  tool.drop?.();
  expect(course().pieces[0]).toMatchObject({ family: 'ashlar', params: { b: -1, c: -1 } });
  // The knob has gone down with its edge.
  expect(edges().find((h) => h.edge === '+x')!.at[1]).toBeCloseTo(1, 6);
  useCourse.getState().undo();
  expect(course().pieces[0]).toMatchObject({ family: 'block' });
  useCourse.getState().choose(['p2']);
  expect(edges()[0].mode).toBe('move');
  lay().set({ handles: 'move' });
});

test.each(['above', 'free', 'side'] as const)(
  'seen from %s, what is raised in hand is laid so much above where it would land',
  (mode) => {
    const side = mode === 'side';
    useView.getState().look({ mode, pitch: side ? 0 : 60, target: [0, 1, 0] });
    useCourse
      .getState()
      .edit((now) => layPieces(now, [{ family: 'block', at: [3, 0, 0], size: [4, 1, 4] }]));
    const tool = TOOLS.pieces();
    useCourse.getState().take({ family: 'crate', at: [0, 0, 0] });
    tap(tool, [3, 1, 0]);
    const low = course().pieces.at(-1)!.at[1];
    useCourse.getState().undo();
    useCourse.getState().take({ family: 'crate', at: [0, 0, 0] });
    buildCommands.raise(1);
    buildCommands.raise(1);
    tap(tool, [3, 1, 0]);
    expect(course().pieces.at(-1)!.at[1]).toBeCloseTo(low + 1, 9);
    buildCommands.raise(-1);
    tap(tool, [0, 1, 0]);
    expect(lay().raised).toBe(0.5);
    // What is taken next begins where it is pointed at.
    useCourse.getState().take({ family: 'slab', at: [0, 0, 0] });
    expect(lay().raised).toBe(0);
    useCourse.getState().take(null);
  },
);

test('corner onto corner: one touch for the own, one for the other', () => {
  useCourse.getState().edit((c) =>
    layPieces(c, [
      { family: 'ashlar', at: [0, 0, 0] },
      { family: 'ashlar', at: [6.3, 0, 0.2] },
    ]),
  );
  const tool = TOOLS.pieces();
  useCourse.getState().choose(['p2']);
  lay().set({ cornering: { own: null } });
  tap(tool, [5.3, 2, -0.8]);
  tap(tool, [1, 2, -1]);
  expect(course().pieces[1].at).toEqual([2, 0, 0]);
  expect(lay().cornering).toBeNull();
});

test('a line drawn round pieces chooses them; hidden and locked ones are left out', () => {
  useCourse.getState().edit((c) =>
    layPieces(c, [
      { family: 'crate', at: [0, 0, 0] },
      { family: 'crate', at: [2, 0, 0] },
      { family: 'crate', at: [9, 0, 0] },
    ]),
  );
  const tool = TOOLS.choose();
  drag(tool, [-2, 0, -2], [4, 0, -2], [4, 0, 2], [-2, 0, 2]);
  expect([...useCourse.getState().choice].sort()).toEqual(['p1', 'p2']);
  tap(tool, [9, 0.9, 0]);
  tap(tool, [2, 0.9, 0]);
  expect([...useCourse.getState().choice].sort()).toEqual(['p1', 'p3']);
});

test('walls are drawn by drags and taps, their posts dragged, their panels chosen', () => {
  const tool = TOOLS.wall();
  drag(tool, [-6, 0, 0], [0, 0, 0.1], [6, 0, 0]);
  tap(tool, [0, 0, 8]);
  tap(tool, [6, 0, 8]);
  tap(tool, [6, 0, 0]);
  const walls = course().pieces.filter(({ line }) => line);
  expect(walls.reduce((sum, { line }) => sum + line!.runs.length, 0)).toBe(3);
  lay().set({ stroke: [] });
  useCourse.getState().choose([walls[0].id]);
  drag(tool, [-6, 0, 0], [-7, 0, -1], [-8, 0, -2]);
  expect(course().pieces.find(({ id }) => id === walls[0].id)!.line!.points).toContainEqual([
    -2, 0, -2,
  ]);
});

test('floors are filled over a rectangle, carved, and flooded inside walls', () => {
  const tool = TOOLS.fill();
  drag(tool, [0.5, 0, 0.5], [3, 0, 3], [5.5, 0, 3.5]);
  expect(course().pieces).toHaveLength(6);
  expect(course().pieces[0].at[1]).toBe(-0.5);
  lay().set({ fill: 'carve' });
  tap(tool, [1, 0, 1]);
  expect(course().pieces).toHaveLength(5);
  const line: Vec3[] = [
    [-10, 0, -8],
    [-4, 0, -8],
    [-4, 0, -2],
    [-10, 0, -2],
    [-10, 0, -8],
  ];
  useCourse.getState().edit((c) => drawWall(c, line, lay().wall));
  lay().set({ fill: 'flood' });
  tap(tool, [-7, 0, -5]);
  expect(course().pieces.length).toBeGreaterThan(10);
});

test('a platform is drawn corner by corner; a corner that would cross says where', () => {
  const tool = TOOLS.outline();
  for (const p of [
    [0, 0, 0],
    [6, 0, 0],
    [6, 0, 4],
    [0, 0, 4],
  ] as Vec3[])
    tap(tool, p);
  tap(tool, [0, 0, 0]);
  expect(course().pieces).toHaveLength(1);
  const before = course().pieces[0];
  drag(tool, [0, 0, 0], [3, 0, 1], [7, 0, 2]);
  expect(lay().fault?.words).toMatch(/cross itself/);
  drag(tool, [3, 0, 4], [3, 0, 5], [3, 0, 6]);
  expect(course().pieces[0].outline!.points.length).toBeGreaterThan(before.outline!.points.length);
  expect(() => layPlatform(course(), [[0, 0, 0]], { axis: 'y', value: 0 }, lay().platform)).toThrow(
    /three/,
  );
});

test('a row of what is gathered stands apart, one of stones side by side', () => {
  const tool = TOOLS.pieces();
  const xs = (family: string) => {
    useCourse.getState().take({ family, at: [0, 0, 0] });
    lay().set({ rowing: true });
    const before = course().pieces.length;
    drag(tool, [-8, 0, 20], [-4, 0, 20], [0, 0, 20]);
    return course()
      .pieces.slice(before)
      .map(({ at }) => at[0]);
  };
  const gaps = (all: number[]) => all.slice(1).map((x, i) => x - all[i]);
  expect(gaps(xs('shell')).every((gap) => Math.abs(gap - 1.5) < 1e-6)).toBe(true);
  const blocks = gaps(xs('block'));
  expect(blocks.length).toBeGreaterThan(2);
  expect(blocks.every((gap) => Math.abs(gap - 2) < 1e-6)).toBe(true);
});

test('a wall drawn on the ground climbs with it, and a whole ground is painted by one touch', () => {
  useCourse.getState().edit((c) =>
    layPieces(c, [
      { family: 'slab', at: [40, -0.5, 0], size: [8, 0.5, 8] },
      { family: 'slab', at: [48, -0.5, 0], size: [8, 0.5, 8] },
      { family: 'block', at: [50, 0, 0], size: [4, 1, 8] },
    ]),
  );
  const base = course().pieces.length;
  lay().set({ onGround: true });
  const wall = TOOLS.wall();
  drag(wall, [38, 0, 2], [45, 0, 2], [51, 0, 2]);
  const ys = course().pieces[base].line!.points.map(([, y]) => y);
  expect([Math.min(...ys), Math.max(...ys)]).toEqual([0, 1]);
  useCourse.getState().undo();
  lay().set({ onGround: false, wholeGround: true, paint: { material: 'moss' } });
  tap(TOOLS.paint(), [40, 0, 0]);
  const looks = course()
    .pieces.slice(base - 3)
    .map(({ look }) => look?.material);
  expect(looks).toEqual(['moss', 'moss', undefined]);
  lay().set({ wholeGround: false });
});

test('scenery is strewn along a stroke and erased, paint goes on and is picked up', () => {
  const strew = TOOLS.scatter();
  lay().set({ scattering: { ...lay().scattering, density: 12, margin: 0 } });
  drag(strew, [-8, 0, 0], [-4, 0, 1], [0, 0, 0], [4, 0, -1], [8, 0, 0]);
  const strewn = course().pieces.length;
  expect(strewn).toBeGreaterThan(8);
  lay().set({ strewing: 'erase' });
  drag(strew, [-8, 0, 0], [0, 0, 0], [8, 0, 0]);
  const left = course().pieces.length;
  expect(left).toBeLessThan(strewn / 2);
  lay().set({ strewing: 'area' });
  drag(strew, [20, 0, 0], [28, 0, 0], [28, 0, 8], [20, 0, 8]);
  const within = course().pieces.slice(left);
  expect(within.length).toBeGreaterThan(8);
  expect(within.every(({ at: [x, , z] }) => x > 19.9 && x < 28.1 && z > -0.1 && z < 8.1)).toBe(
    true,
  );
  lay().set({ strewing: 'stroke', paint: { colour: '#C8553D' } });
  useCourse
    .getState()
    .edit((c) => layPieces(c, [{ family: 'ashlar', at: [-10, 0, 8], look: { material: 'moss' } }]));
  const brush = TOOLS.paint();
  lay().set({ picking: true });
  tap(brush, [-10, 2, 8]);
  expect(lay().paint).toEqual({ material: 'moss' });
  lay().set({ paint: { colour: '#C8553D' } });
  tap(brush, [-10, 2, 8]);
  expect(course().pieces[course().pieces.length - 1].look).toEqual({ colour: '#C8553D' });
});

test('the brush paints the ground under a stroke, and with the own paint wipes it off, each one step', () => {
  useCourse
    .getState()
    .edit((c) => layPieces(c, [{ family: 'slab', at: [0, 0, 0], size: [20, 0.4, 20] }]));
  lay().set({ groundBrush: true, brush: 1, paint: { material: 'moss' } });
  const tool = TOOLS.paint();
  drag(tool, [-6, 0.4, 0], [-3, 0.4, 0], [0, 0.4, 0], [0.1, 0.4, 0], [3, 0.4, 0]);
  expect(course().ground).toHaveLength(3);
  expect(course().pieces[0].look).toBeUndefined();
  for (const { at } of course().ground!) expect(at[1]).toBeCloseTo(0.4, 3);
  lay().set({ paint: 'own' });
  tap(tool, [0, 0.4, 0]);
  expect(course().ground).toHaveLength(2);
  useCourse.getState().undo();
  useCourse.getState().undo();
  expect(course().ground).toBeUndefined();
  lay().set({ groundBrush: false });
});

test('every tool there is can be taken up', () => {
  for (const tool of LAY_TOOLS) expect(TOOLS[tool]()).toBeDefined();
});
