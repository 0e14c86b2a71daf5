import { endGlide, glideTo, keepInSight } from './glide';
import { pixelOf, useView } from './view';

let now = 0;
let frames: (() => void)[] = [];
const reduce = (matches: boolean) => {
  window.matchMedia = (() => ({ matches })) as never;
};
/** Has so much time go by, frame by frame. */
const pass = (ms: number) => {
  for (let gone = 0; gone < ms; gone += 20) {
    now += 20;
    const due = frames;
    frames = [];
    for (const frame of due) frame();
  }
};

beforeEach(() => {
  now = 0;
  frames = [];
  jest.spyOn(performance, 'now').mockImplementation(() => now);
  global.requestAnimationFrame = ((frame: () => void) => frames.push(frame)) as never;
  reduce(false);
  useView.getState().resize(390, 560);
  useView.getState().look({ target: [0, 0, 0], distance: 20, yaw: 0, pitch: 30, mode: 'free' });
});
afterEach(() => jest.restoreAllMocks());

test('the eye goes smoothly and ends exactly where it is to be', () => {
  glideTo({ target: [10, 2, 0], distance: 40 }, 400);
  pass(200);
  const { target, distance } = useView.getState();
  expect(target[0]).toBeGreaterThan(2);
  expect(target[0]).toBeLessThan(8);
  expect(distance).toBeGreaterThan(20);
  pass(300);
  expect(useView.getState()).toMatchObject({ target: [10, 2, 0], distance: 40 });
  expect(frames).toHaveLength(0);
});

test('it turns the short way round', () => {
  useView.getState().look({ yaw: 350 });
  glideTo({ yaw: 10 }, 200);
  pass(100);
  expect(useView.getState().yaw).toBeGreaterThan(350);
  pass(200);
  expect(useView.getState().yaw).toBeCloseTo(370, 6);
});

test('whoever touches the view has it', () => {
  glideTo({ target: [10, 0, 0] }, 400);
  pass(100);
  endGlide();
  const { target } = useView.getState();
  pass(600);
  expect(useView.getState().target).toEqual(target);
});

test('where no motion is wanted it is there at once', () => {
  reduce(true);
  glideTo({ target: [10, 0, 0] }, 400);
  expect(useView.getState().target).toEqual([10, 0, 0]);
  expect(frames).toHaveLength(0);
});

const COVERED = { top: 88, bottom: 120, left: 64, right: 84 };

test.each([
  { place: [14, 0, 0] },
  { place: [-14, 0, 0] },
  { place: [0, 0, 12] },
  { place: [0, 8, -6] },
])(
  'a place at $place comes clear of what lies over the scene, by no more than it takes',
  ({ place }) => {
    reduce(true);
    keepInSight(place as never, COVERED);
    const [x, y] = pixelOf(useView.getState(), place as never)!;
    expect(x).toBeGreaterThanOrEqual(COVERED.left - 2);
    expect(x).toBeLessThanOrEqual(390 - COVERED.right + 2);
    expect(y).toBeGreaterThanOrEqual(COVERED.top - 2);
    expect(y).toBeLessThanOrEqual(560 - COVERED.bottom + 2);
  },
);

test('what is clear already moves nothing', () => {
  reduce(true);
  const before = useView.getState().target;
  keepInSight([0, 0, 0], COVERED);
  expect(useView.getState().target).toBe(before);
});
