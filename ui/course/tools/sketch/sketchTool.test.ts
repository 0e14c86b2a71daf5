import { emptyCourse } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { pixelOf, showAcross, rayAt, useView, type Tool } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { useLay } from '../../open/laying';
import { applyScale, sketchTool } from '.';

jest.mock('../../../scene', () => jest.requireActual('../../../scene/view'));
jest.mock('../../../parts', () => ({ showToast: jest.fn(() => () => {}) }));

const course = () => useCourse.getState().course;
const lay = () => useLay.getState();
const pixel = (place: Vec3) => pixelOf(useView.getState(), place)!;
const MOUSE = { kind: 'mouse', adds: false } as const;
const PICTURE = {
  data: 'data:image/png;base64,AA==',
  at: [0, 0, 0] as [number, number, number],
  width: 10,
  aspect: 1,
};

let tool: Tool;

beforeEach(() => {
  useView.getState().resize(1000, 800);
  useView.getState().look({ mode: 'above', yaw: 0, pitch: 89.5, distance: 40, target: [0, 0, 0] });
  useCourse.getState().open('a', 1, emptyCourse('Trial', 'free'), { kind: 'saved', at: 0 });
  useLay.setState({ level: 0, sketching: 'draw', sketchPoint: null, sketchNote: null, stroke: [] });
  tool = sketchTool();
});

function drag(...places: Vec3[]): boolean {
  const [first, ...rest] = places.map(pixel);
  if (!tool.begin!(...first, MOUSE)) return false;
  for (const at of rest) tool.drag!(...at);
  tool.drop!();
  return true;
}
const tap = (place: Vec3) => {
  tool.begin!(...pixel(place), MOUSE);
  tool.tap!(...pixel(place), MOUSE);
};
const route = () => drag([-9, 0, 0], [-4, 0, 2], [2, 0, 3], [6, 0, 1], [9, 0, -2]);

test('a route is drawn, and a point of it dragged keeps its height', () => {
  route();
  const points = course().sketch!.points;
  expect(points.length).toBeGreaterThan(2);
  useLay.setState({ sketching: 'points' });
  drag(points[0] as Vec3, [-9, 0, 3], [-9, 0, 5]);
  expect(course().sketch!.points[0][2]).toBeCloseTo(5, 1);
  expect(drag([0, 0, -15], [0, 0, -14])).toBe(false);
});

test('a stroke from the middle is a branch, and its points are taken hold of as well', () => {
  route();
  drag([1, 0, 3.5], [2, 0, 8], [3, 0, 12]);
  expect(course().sketch!.branches).toHaveLength(1);
  useLay.setState({ sketching: 'points' });
  const [end] = course().sketch!.branches![0].points.slice(-1);
  drag(end as Vec3, [5, 0, 12]);
  expect(lay().sketchPoint).toMatchObject({ line: 1 });
  expect(course().sketch!.branches![0].points.at(-1)![0]).toBeCloseTo(5, 1);
});

test('a second finger takes the stroke back', () => {
  tool.begin!(...pixel([0, 0, 0]), MOUSE);
  tool.drag!(...pixel([4, 0, 0]));
  tool.drag!(...pixel([8, 0, 0]));
  tool.cancel!();
  expect(lay().stroke).toEqual([]);
  expect(course().sketch).toBeUndefined();
});

test('a tap pins a note; one that is there is opened by its pin or its words, and dragged', () => {
  useLay.setState({ sketching: 'note' });
  tap([0, 0, 6]);
  tap([8, 0, 6]);
  expect(course().sketch!.notes).toHaveLength(2);
  tap([0, 0, 6]);
  expect(course().sketch!.notes).toHaveLength(2);
  expect(lay().sketchNote).toBe(0);
  const [x, y] = pixel([8, 0, 6]);
  tool.tap!(x + 20, y - 38, MOUSE);
  expect(lay().sketchNote).toBe(1);
  drag([8, 0, 6], [8, 0, 9]);
  expect(course().sketch!.notes![1]).toMatchObject({ text: 'Note 2' });
  expect(course().sketch!.notes![1].at[2]).toBeCloseTo(9, 1);
});

test('the picture is scaled by a known length', () => {
  useCourse.getState().edit((c) => ({ ...c, sketch: { points: [], picture: PICTURE } }));
  useLay.setState({ sketching: 'scale', stroke: [] });
  tap([-2, 0, 0]);
  tap([2, 0, 0]);
  applyScale(12);
  expect(course().sketch!.picture!.width).toBeCloseTo(30, 0);
});

test('one finger moves the picture, two size and turn it: each a step to undo', () => {
  useCourse.getState().edit((c) => ({ ...c, sketch: { points: [], picture: PICTURE } }));
  useLay.setState({ sketching: 'picture' });
  drag([1, 0, 1], [3, 0, 2], [4, 0, 3]);
  expect(course().sketch!.picture!.at[0]).toBeCloseTo(3, 1);
  expect(course().sketch!.picture!.at[2]).toBeCloseTo(2, 1);
  const [x, y] = pixel([3, 0, 2]);
  const still = { x, y, dx: 0, dy: 0 };
  expect(tool.pinch!({ ...still, factor: 2, turn: 0 })).toBe(true);
  expect(tool.pinch!({ ...still, factor: 1, turn: 30 })).toBe(true);
  tool.drop!();
  const { picture } = course().sketch!;
  expect(picture!.width).toBeCloseTo(20, 5);
  // Clockwise on the picture is a heading to the right.
  expect(picture!.turn).toBeCloseTo(330, 5);
  expect(picture!.at[0]).toBeCloseTo(3, 1);
  useCourse.getState().undo();
  expect(course().sketch!.picture!.width).toBe(10);
  expect(course().sketch!.picture!.at[0]).toBeCloseTo(3, 1);
});

test('two fingers are the view’s own unless a picture is being laid', () => {
  expect(tool.pinch!({ x: 0, y: 0, dx: 0, dy: 0, factor: 2, turn: 0 })).toBe(false);
});

test('the view shows as many metres across as asked, whatever its form', () => {
  for (const [width, height] of [
    [390, 500],
    [1280, 800],
  ]) {
    showAcross(200);
    // Panels make room for it afterwards.
    useView.getState().resize(width, height);
    const view = useView.getState();
    const edge = (x: number) => {
      const { from, along } = rayAt(view, x, height / 2);
      return from[0] - (along[0] * from[1]) / along[1];
    };
    expect(edge(width) - edge(0)).toBeCloseTo(200, 0);
  }
});
