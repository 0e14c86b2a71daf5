import { chosenOf, layPieces } from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import { useView } from '../../../scene';
import { useLay } from '../../open/laying';
import { useCourse } from '../../../state/courseStore';
import { beginTrial, course, drag, FINGER, lay, MOUSE, pixel, tap } from '../toolTrial.testing';
import { handlesOf } from './handles';
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

test('a laid piece held down is picked up as another like it, carried by the same finger, and laid', () => {
  useCourse
    .getState()
    .edit((c) => layPieces(c, [{ family: 'crate', at: [0, 0, 0], turn: [0, 30, 0] }]));
  const tool = pieceTool();
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
  const tool = pieceTool();
  useCourse.getState().choose(['p1']);
  useLay.setState({ cornering: { own: null } });
  drag(tool, [1.13, 1, 1.07], [4, 1, 1], [5, 1, 1]);
  expect(course().pieces[0].at[0]).toBeCloseTo(4, 6);
  expect(course().pieces[0].at[2]).toBeCloseTo(0, 6);
  expect(lay().cornering).toBeNull();
  useCourse.getState().undo();
  expect(course().pieces[0].at[0]).toBeCloseTo(0.13, 6);
});

test('with a key held down a click adds to the choice, and takes out of it again', () => {
  useCourse.getState().edit((c) =>
    layPieces(c, [
      { family: 'crate', at: [0, 0, 0] },
      { family: 'crate', at: [4, 0, 0] },
    ]),
  );
  const tool = pieceTool();
  const press = (place: Vec3, adds: boolean) => tool.tap!(...pixel(place), { kind: 'mouse', adds });
  press([0, 1, 0], false);
  press([4, 1, 0], true);
  expect([...useCourse.getState().choice]).toEqual(['p1', 'p2']);
  press([0, 1, 0], true);
  expect([...useCourse.getState().choice]).toEqual(['p2']);
  press([4, 1, 0], false);
  expect([...useCourse.getState().choice]).toEqual(['p2']);
});

test('what is chosen is dragged on the grid, by its handles, and as a copy, each one step', () => {
  useCourse.getState().edit((c) => layPieces(c, [{ family: 'ashlar', at: [0, 0, 0] }]));
  const tool = pieceTool();
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
  useLay.setState({ handles: 'stretch' });
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
  useLay.setState({ handles: 'move', dragCopies: true });
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
  useLay.setState({ handles: 'slope' });
  const tool = pieceTool();
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
  useLay.setState({ handles: 'move' });
});

test('corner onto corner: one touch for the own, one for the other', () => {
  useCourse.getState().edit((c) =>
    layPieces(c, [
      { family: 'ashlar', at: [0, 0, 0] },
      { family: 'ashlar', at: [6.3, 0, 0.2] },
    ]),
  );
  const tool = pieceTool();
  useCourse.getState().choose(['p2']);
  useLay.setState({ cornering: { own: null } });
  tap(tool, [5.3, 2, -0.8]);
  tap(tool, [1, 2, -1]);
  expect(course().pieces[1].at).toEqual([2, 0, 0]);
  expect(lay().cornering).toBeNull();
});
