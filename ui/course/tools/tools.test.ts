import { drawWall, layPieces, layPlatform } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { useView } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { LAY_TOOLS, useLay } from '../open/laying';
import { TOOLS } from '.';
import { takeKit, useKitHand } from './kitTool';
import { tideKnob } from './tideTool';
import { beginTrial, course, drag, FINGER, lay, pixel, tap } from './toolTrial.testing';

jest.mock('../../scene', () => ({
  ...jest.requireActual('../../scene/view'),
  ...jest.requireActual('../../scene/glide'),
}));
jest.mock('../../parts', () => ({
  ...jest.requireActual<object>('../../parts/format'),
  showToast: jest.fn(() => () => {}),
}));

beforeEach(beginTrial);

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
  useLay.setState({
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
  useLay.setState({ fillRound: false, floor: { family: 'slab', at: [0, 0, 0] } });
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
  useLay.setState({ stroke: [] });
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
  useLay.setState({ fill: 'carve' });
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
  useLay.setState({ fill: 'flood' });
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

test('a wall drawn on the ground climbs with it, and a whole ground is painted by one touch', () => {
  useCourse.getState().edit((c) =>
    layPieces(c, [
      { family: 'slab', at: [40, -0.5, 0], size: [8, 0.5, 8] },
      { family: 'slab', at: [48, -0.5, 0], size: [8, 0.5, 8] },
      { family: 'block', at: [50, 0, 0], size: [4, 1, 8] },
    ]),
  );
  const base = course().pieces.length;
  useLay.setState({ onGround: true });
  const wall = TOOLS.wall();
  drag(wall, [38, 0, 2], [45, 0, 2], [51, 0, 2]);
  const ys = course().pieces[base].line!.points.map(([, y]) => y);
  expect([Math.min(...ys), Math.max(...ys)]).toEqual([0, 1]);
  useCourse.getState().undo();
  useLay.setState({ onGround: false, wholeGround: true, paint: { material: 'moss' } });
  tap(TOOLS.paint(), [40, 0, 0]);
  const looks = course()
    .pieces.slice(base - 3)
    .map(({ look }) => look?.material);
  expect(looks).toEqual(['moss', 'moss', undefined]);
  useLay.setState({ wholeGround: false });
});

test('scenery is strewn along a stroke and erased, paint goes on and is picked up', () => {
  const strew = TOOLS.scatter();
  useLay.setState({ scattering: { ...lay().scattering, density: 12, margin: 0 } });
  drag(strew, [-8, 0, 0], [-4, 0, 1], [0, 0, 0], [4, 0, -1], [8, 0, 0]);
  const strewn = course().pieces.length;
  expect(strewn).toBeGreaterThan(8);
  useLay.setState({ strewing: 'erase' });
  drag(strew, [-8, 0, 0], [0, 0, 0], [8, 0, 0]);
  const left = course().pieces.length;
  expect(left).toBeLessThan(strewn / 2);
  useLay.setState({ strewing: 'area' });
  drag(strew, [20, 0, 0], [28, 0, 0], [28, 0, 8], [20, 0, 8]);
  const within = course().pieces.slice(left);
  expect(within.length).toBeGreaterThan(8);
  expect(within.every(({ at: [x, , z] }) => x > 19.9 && x < 28.1 && z > -0.1 && z < 8.1)).toBe(
    true,
  );
  useLay.setState({ strewing: 'stroke', paint: { colour: '#C8553D' } });
  useCourse
    .getState()
    .edit((c) => layPieces(c, [{ family: 'ashlar', at: [-10, 0, 8], look: { material: 'moss' } }]));
  const brush = TOOLS.paint();
  useLay.setState({ picking: true });
  tap(brush, [-10, 2, 8]);
  expect(lay().paint).toEqual({ material: 'moss' });
  useLay.setState({ paint: { colour: '#C8553D' } });
  tap(brush, [-10, 2, 8]);
  expect(course().pieces[course().pieces.length - 1].look).toEqual({ colour: '#C8553D' });
});

test('the brush paints the ground under a stroke, and with the own paint wipes it off, each one step', () => {
  useCourse
    .getState()
    .edit((c) => layPieces(c, [{ family: 'slab', at: [0, 0, 0], size: [20, 0.4, 20] }]));
  useLay.setState({ groundBrush: true, brush: 1, paint: { material: 'moss' } });
  const tool = TOOLS.paint();
  drag(tool, [-6, 0.4, 0], [-3, 0.4, 0], [0, 0.4, 0], [0.1, 0.4, 0], [3, 0.4, 0]);
  expect(course().ground).toHaveLength(3);
  expect(course().pieces[0].look).toBeUndefined();
  for (const { at } of course().ground!) expect(at[1]).toBeCloseTo(0.4, 3);
  useLay.setState({ paint: 'own' });
  tap(tool, [0, 0.4, 0]);
  expect(course().ground).toHaveLength(2);
  useCourse.getState().undo();
  useCourse.getState().undo();
  expect(course().ground).toBeUndefined();
  useLay.setState({ groundBrush: false });
});

test('every tool there is can be taken up', () => {
  for (const tool of LAY_TOOLS) expect(TOOLS[tool]()).toBeDefined();
});
