import { layPieces } from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import { pixelOf, useView } from '../../../scene';
import { useLay } from '../../open/laying';
import { useCourse } from '../../../state/courseStore';
import { buildCommands } from '../../open/chosenEdits';
import { useSaid } from '../../open/said';
import { beginTrial, course, drag, FINGER, lay, pixel, tap } from '../toolTrial.testing';
import { layAt } from './handTool';
import { pieceTool } from './pieceTool';

jest.mock('../../../scene', () => ({
  ...jest.requireActual('../../../scene/view'),
  ...jest.requireActual('../../../scene/glide'),
}));
jest.mock('../../../parts', () => ({
  ...jest.requireActual<object>('../../../parts/format'),
  showToast: jest.fn(() => () => {}),
}));

beforeEach(beginTrial);

test('a piece in hand is laid by taps and in rows, and refused in its own place', () => {
  const tool = pieceTool();
  useCourse.getState().take({ family: 'crate', at: [0, 0, 0] });
  tap(tool, [3.1, 0, 2.2]);
  expect(course().pieces.map(({ at }) => at)).toEqual([[3, 0, 2]]);
  // Without rows a drag only carries it about, and lands it where it ends.
  drag(tool, [-4, 0, -6], [-2, 0, -6], [1.1, 0, -6]);
  expect(course().pieces.map(({ at }) => at[0])).toEqual([3, 1]);
  useCourse.getState().undo();
  useLay.setState({ rowing: true });
  drag(tool, [-4, 0, 6], [-2, 0, 6.1], [1, 0, 6.1]);
  expect(course().pieces.map(({ at }) => at[0])).toEqual([3, -4, -3, -2, -1, 0, 1]);
  expect(lay().row).toBeNull();
  useCourse.getState().undo();
  expect(course().pieces).toHaveLength(1);
});

test('a finger held down shows the piece above itself, slides it, and lands it on letting go', () => {
  const tool = pieceTool();
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
  const tool = pieceTool();
  useCourse.getState().take({ family: 'crate', at: [0, 0, 0] });
  useLay.setState({ ghostAt: [-3, 0, -3] });
  tool.begin!(...pixel([2, 0, 3]), FINGER);
  tool.hold!(...pixel([2, 0, 3]));
  tool.drag!(...pixel([4, 0, 3]));
  tool.cancel!();
  expect(course().pieces).toHaveLength(0);
  expect(lay().ghostAt).toEqual([-3, 0, -3]);
});

test('a tap on the ghost lays it where it stands, one elsewhere lays it there', () => {
  const tool = pieceTool();
  useCourse.getState().take({ family: 'block', at: [0, 0, 0], size: [2, 2, 2] });
  useLay.setState({ ghostAt: [4, 0, 4] });
  // On its edge: by itself that would point at another place of the grid.
  tap(tool, [4.9, 2, 4.9]);
  expect(course().pieces[0].at).toEqual([4, 0, 4]);
  tap(tool, [-6, 0, -6]);
  expect(course().pieces[1].at).toEqual([-6, 0, -6]);
});

test('after laying, the view follows until the next place is clear of what lies over the scene', () => {
  useView.getState().resize(390, 560);
  const tool = pieceTool();
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
    useLay.setState({ handAxis: axis, turnStep: 15 });
    buildCommands.turn(1);
    expect(useCourse.getState().inHand!.turn![axis]).toBeCloseTo(15, 6);
    buildCommands.turn(-1);
    expect(useCourse.getState().inHand!.turn ?? [0, 0, 0]).toEqual([0, 0, 0]);
  }
  useLay.setState({ handAxis: 1 });
});

test('a track piece takes the open end; with nothing snapping it lies where it is held', () => {
  useCourse.getState().edit((c) => layPieces(c, [{ family: 'straight', at: [0, 0, 0] }]));
  const tool = pieceTool();
  useCourse.getState().take({ family: 'bend', at: [0, 0, 0] });
  tap(tool, [4.3, 0, 0.4]);
  expect(course().pieces[1].at).toEqual([4, 0, 0]);
  useLay.setState({ snapping: false });
  tap(tool, [-6.03, 0, 5.01]);
  expect(course().pieces[2].at[0]).toBeCloseTo(-6.03, 1);
});

test.each(['above', 'free', 'side'] as const)(
  'seen from %s, what is raised in hand is laid so much above where it would land',
  (mode) => {
    const side = mode === 'side';
    useView.getState().look({ mode, pitch: side ? 0 : 60, target: [0, 1, 0] });
    useCourse
      .getState()
      .edit((now) => layPieces(now, [{ family: 'block', at: [3, 0, 0], size: [4, 1, 4] }]));
    const tool = pieceTool();
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

test('a row of what is gathered stands apart, one of stones side by side', () => {
  const tool = pieceTool();
  const xs = (family: string) => {
    useCourse.getState().take({ family, at: [0, 0, 0] });
    useLay.setState({ rowing: true });
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

test.each(['start', 'lantern', 'pine', 'crate'])(
  'seen from the side, a %s tapped at a platform’s top stands on it, on the lane',
  (family) => {
    useCourse
      .getState()
      .edit((c) => layPieces(c, [{ family: 'slab', at: [0, 1, 0], size: [12, 0.5, 4] }]));
    useView.getState().look({ mode: 'side', yaw: 0, pitch: 0, distance: 30, target: [0, 2, 0] });
    const tool = pieceTool();
    for (const [i, y] of [1.2, 1.5, 1.8].entries()) {
      useCourse.getState().take({ family, at: [0, 0, 0] });
      tap(tool, [4 * i - 4, y, 0]);
      const { at } = course().pieces.at(-1)!;
      expect(at[1]).toBeCloseTo(1.5, 4);
      expect(at[2]).toBe(0);
    }
  },
);

test('keys move what is in hand by a step of the grid, and what is laid is said with its place', () => {
  useCourse.getState().take({ family: 'slab', at: [0, 0, 0] });
  useLay.getState().moveGhost([1, 0, 2]);
  buildCommands.move(1, 0, 0);
  buildCommands.move(0, 0, -1);
  const [step] = lay().steps;
  expect(lay().ghostAt).toEqual([1 + step, 0, 2 - step]);
  layAt(lay().ghostAt);
  expect(useSaid.getState().laid).toMatch(/^Slab laid at /);
  useCourse.getState().take({ family: 'crate', at: [0, 0, 0] });
  expect(useSaid.getState().laid).toBeNull();
  useCourse.getState().take(null);
});
