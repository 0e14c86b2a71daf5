import {
  addMotion,
  addPathPoint,
  effectMisfit,
  layPieces,
  pathPlaces,
  posePlaces,
} from '@/core/edit';
import { emptyCourse, type Course, type Piece, type PosesMotion } from '@/core/course';
import { distance, type Vec3 } from '@/core/geometry';
import { pixelOf, useView, type Tool } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useLay } from '../open/laying';
import { showPose } from '../open/preview/showPose';
import { endTuning, useTune } from '../open/tuneStore';
import { KNOB_OUT } from './knobs';
import { pathTool } from './pathTool';
import { pickTool } from './pickTool';
import { poseTool } from './poseTool';

jest.mock('../../scene', () => jest.requireActual('../../scene/view'));
jest.mock('../../parts', () => ({ showToast: jest.fn(() => () => {}) }));

const MOUSE = { kind: 'mouse', adds: false } as const;
const crate = () => useCourse.getState().course.pieces[0];
const edit = useCourse.getState().edit;
const pixel = (p: Vec3) => pixelOf(useView.getState(), p)!;
const near = (p: Vec3, q: Vec3) => expect(distance(p, q)).toBeLessThan(0.26);

function drag(tool: Tool, from: readonly number[], to: readonly number[]): boolean {
  if (!tool.begin!(from[0], from[1], MOUSE)) return false;
  tool.drag!((from[0] + to[0]) / 2, (from[1] + to[1]) / 2);
  tool.drag!(to[0], to[1]);
  tool.drop!();
  return true;
}
const tap = (tool: Tool, at: readonly number[]) => {
  tool.begin?.(at[0], at[1], MOUSE);
  tool.tap!(at[0], at[1], MOUSE);
};

beforeEach(() => {
  useView.getState().resize(1000, 800);
  useView.getState().look({ mode: 'free', yaw: 0, pitch: 40, distance: 30, target: [0, 0, 0] });
  useLay.setState({ steps: [0.5, 0.5, 0.5], snapping: true, level: 0, turnStep: 15 });
  endTuning();
  const laid = layPieces(emptyCourse('Trial', 'free'), [{ family: 'crate', at: [-4, 0, 0] }]);
  useCourse.getState().open('tune', 1, laid, { kind: 'saved', at: 0 });
  useCourse.getState().choose(['p1']);
});

describe('a path', () => {
  beforeEach(() => {
    edit((now) => addPathPoint(addPathPoint(now, 'p1', [2, 0, 0]), 'p1', [2, 0, 4]));
    useTune.getState().set({ drawingPath: true });
  });
  const places = () => pathPlaces(crate());

  test('grows by touches, and its points are dragged at their own height', () => {
    const tool = pathTool();
    tap(tool, pixel([6, 0, 4]));
    near(places()[3], [6, 0, 4]);
    drag(tool, pixel([2, 0, 0]), pixel([3, 0, -2]));
    near(places()[1], [3, 0, -2]);
    expect(useTune.getState().pathPoint).toBe(1);
  });

  test('takes a point in between, dragged out of the middle of a stretch in one step', () => {
    const tool = pathTool();
    drag(tool, pixel([-1, 0, 0]), pixel([-1, 0, -3]));
    expect(places()).toHaveLength(4);
    near(places()[1], [-1, 0, -3]);
    near(places()[2], [2, 0, 0]);
    useCourse.getState().undo();
    expect(places()).toHaveLength(3);
  });

  test('a touch on the middle of a stretch alone puts one in, and adds none at the end', () => {
    tap(pathTool(), pixel([-1, 0, 0]));
    expect(places()).toHaveLength(4);
    near(places()[1], [-1, 0, 0]);
  });

  test('the point in hand is lifted straight up by its arrows', () => {
    const tool = pathTool();
    tap(tool, pixel([2, 0, 0]));
    const [x, y] = pixel([2, 0, 0]);
    const up = pixel([2, 3, 0]);
    drag(tool, [x, y - KNOB_OUT], [x, up[1] - KNOB_OUT]);
    const [px, py, pz] = places()[1];
    expect([px, pz]).toEqual([2, 0]);
    expect(py).toBeGreaterThan(2);
    expect(py % 0.5).toBeCloseTo(0, 6);
  });
});

test('arrows that were only tapped leave the next drag a move', () => {
  edit((now) => addPathPoint(now, 'p1', [2, 0, 0]));
  useTune.getState().set({ drawingPath: true });
  const tool = pathTool();
  tap(tool, pixel([2, 0, 0]));
  const [x, y] = pixel([2, 0, 0]);
  tap(tool, [x, y - KNOB_OUT]);
  drag(tool, pixel([2, 0, 0]), pixel([4, 0, 3]));
  near(pathPlaces(crate())[1], [4, 0, 3]);
});

describe('poses', () => {
  beforeEach(() => {
    edit((now) => addMotion(now, new Set(['p1']), 'poses'));
    showPose(crate(), 0);
  });
  const place = () => posePlaces(crate())[0];
  const pose = () => (crate().motion![0] as PosesMotion).poses[0];

  test('while one is taken, the piece is shown as that pose has it', () => {
    expect(useTune.getState()).toMatchObject({ posing: 0, playing: false });
    expect(useTune.getState().at).toBeCloseTo(pose().time, 6);
  });

  test('a pose is dragged, lifted and turned where it stands, each one step', () => {
    const tool = poseTool();
    const [ax, , az] = place();
    drag(tool, pixel(place()), pixel([ax + 3, place()[1], az + 2]));
    near(place(), [ax + 3, place()[1], az + 2]);
    const [x, y] = pixel(place());
    const high = place()[1];
    drag(tool, [x, y - KNOB_OUT], [x, y - KNOB_OUT - 60]);
    expect(place()[1]).toBeGreaterThan(high + 0.5);
    const [tx, ty] = pixel(place());
    drag(tool, [tx + KNOB_OUT, ty], [tx, ty - KNOB_OUT]);
    expect(pose().turn).toEqual([0, 90, 0]);
    useCourse.getState().undo();
    expect(pose().turn).toBeUndefined();
    expect(place()[1]).toBeGreaterThan(high + 0.5);
  });

  test('beside its knobs a finger moves the view', () => {
    expect(poseTool().begin!(5, 5, MOUSE)).toBe(false);
  });
});

test('a piece touched for something is taken, and a refusal is said and asked again', () => {
  const take = jest.fn((id: string) => {
    if (take.mock.calls.length === 1) throw new RangeError(`Not ${id}.`);
  });
  useTune.getState().set({ picking: { words: 'Touch one', take } });
  const tool = pickTool();
  tool.tap!(...pixel([-4, 0.5, 0]), MOUSE);
  expect(useTune.getState().picking?.words).toBe('Not p1.');
  tool.tap!(...pixel([-4, 0.5, 0]), MOUSE);
  expect(useTune.getState().picking).toBeNull();
});

test('a touch of what will not do says why, and one beside everything is the way out', () => {
  edit((c) => layPieces(c, [{ family: 'gate', at: [3, 0, 0] }]));
  const gate = useCourse.getState().course.pieces.at(-1)!.id;
  const take = jest.fn();
  const picking = {
    words: 'Touch a gate',
    misfit: (now: Course, piece: Piece) => effectMisfit(now, 'open', piece),
    take,
  };
  useTune.getState().set({ picking });
  const tool = pickTool();
  tap(tool, pixel([-4, 0.5, 0]));
  expect(useTune.getState().picking?.words).toMatch(/cannot be opened/);
  expect(take).not.toHaveBeenCalled();
  tap(tool, pixel([3, 1, 0]));
  expect(take).toHaveBeenCalledWith(gate);
  expect(useTune.getState().picking).toBeNull();
  useTune.getState().set({ picking });
  tap(tool, [5, 5]);
  expect(useTune.getState().picking).toBeNull();
  expect(take).toHaveBeenCalledTimes(1);
});
