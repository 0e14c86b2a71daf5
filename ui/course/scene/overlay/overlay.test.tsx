import { act, render, screen } from '@testing-library/react-native';
import { Circle, Path, Text as SvgText } from 'react-native-svg';
import { layPieces } from '@/core/edit';
import { emptyCourse, type Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { pixelOf, useView } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { useDragState } from '../../../device/dragState';
import { takeTool, useLay } from '../../open/laying';
import { TOOLS } from '../../tools';
import { useTune } from '../../open/tuneStore';
import { Overlay } from './Overlay';
import { TuneOverlay } from './TuneOverlay';

jest.useFakeTimers();
jest.mock('../../../state/afterFrame');
jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('../../../scene', () => ({ ...jest.requireActual('../../../scene/view') }));

let mockMoments: object[] = [];
jest.mock('../../../state/useMoments', () => ({ useMoments: () => mockMoments }));

const state = () => useCourse.getState();
const pixel = (place: Vec3) => pixelOf(useView.getState(), place)!;
const words = () =>
  screen.UNSAFE_queryAllByType(SvgText).map(({ props }) => [props.children].flat().join(''));
const circles = () => screen.UNSAFE_queryAllByType(Circle);
let opened = 0;
const open = (course: Course) => state().open(`o${opened++}`, 1, course, { kind: 'saved', at: 0 });

const yard = layPieces(emptyCourse('Yard', 'free'), [
  { family: 'start', at: [0, 0, 0] },
  { family: 'block', at: [6, 0, 0], size: [2, 1, 2] },
  { family: 'drift', at: [0, 0, 6] },
]);

beforeEach(() => {
  useView.getState().resize(1000, 800);
  useView.getState().look({ mode: 'free', yaw: 10, pitch: 50, distance: 40, target: [3, 0, 0] });
  useDragState.setState({ dragging: false });
  open(yard);
  takeTool('pieces');
});

describe('marks of laying', () => {
  beforeEach(() => {
    render(<Overlay />);
    act(() => state().choose(['p2']));
  });

  test('what is chosen has a handle for each axis that can be seen along', () => {
    expect(words()).toEqual(['x', 'y', 'z']);
    act(() => state().choose([]));
    expect(words()).toEqual([]);
  });

  test('while a piece is carried it is looked at: no handle, but how far it has come', () => {
    const tool = TOOLS.pieces();
    act(() => {
      tool.begin!(...pixel([5.3, 1, 0.8]), { kind: 'touch', adds: false });
      useDragState.setState({ dragging: true });
      tool.drag!(...pixel([3.3, 1, 2.8]));
    });
    expect(words()).toEqual(['x −2 · z 2 m']);
    act(() => {
      useDragState.setState({ dragging: false });
      tool.drop!();
    });
    expect(words()).toEqual(['x', 'y', 'z']);
  });

  test('while a handle is held it alone is there, and goes along', () => {
    const tool = TOOLS.pieces();
    const [{ props: at }] = circles();
    act(() => {
      tool.begin!(at.cx, at.cy, { kind: 'touch', adds: false });
      useDragState.setState({ dragging: true });
      tool.drag!(at.cx + 90, at.cy);
    });
    expect(words()).toEqual(['x', expect.stringMatching(/^\d+(\.5)? m$/)]);
    const [{ props: now }] = circles();
    expect(now.cx).toBeGreaterThan(at.cx + 60);
    expect(useLay.getState().held?.axis).toBe(0);
  });

  test('a moment that is kept stands over where the runner was, and behind the eye not at all', () => {
    act(() => state().choose([]));
    const before = circles().length;
    mockMoments = [
      { at: 1, place: [2, 0, 1] },
      { at: 2, place: [0, 300, 900] },
    ];
    act(() => useView.getState().look({ distance: 41 }));
    expect(circles()).toHaveLength(before + 1);
    const [x, y] = pixel([2, 1.2, 1]);
    expect(circles().some(({ props }) => props.cx === x && props.cy === y)).toBe(true);
    mockMoments = [];
  });

  test('notes of the sketch stand at their places, and are gone when it is not shown', () => {
    const sketch = {
      points: [[0, 0, 0] as [number, number, number], [9, 0, 0] as [number, number, number]],
      notes: [{ at: [3, 0, 1] as [number, number, number], text: 'Mind the gap' }],
    };
    act(() => state().choose([]));
    act(() => state().edit((course) => ({ ...course, sketch })));
    expect(words()).toEqual(['Mind the gap']);
    act(() => state().edit((course) => ({ ...course, sketch: { ...sketch, shown: 0 } })));
    expect(words()).toEqual([]);
  });
});

describe('marks of tuning', () => {
  beforeEach(() => render(<TuneOverlay />));

  test('regions are named, and are where the hand has them', () => {
    act(() => open(layPieces(yard, [{ family: 'touch', at: [3, 0, 3] }])));
    expect(words()).toEqual(['Touch region']);
    const before = screen.UNSAFE_getByType(SvgText).props.x;
    act(() => state().choose(['p4']));
    act(() => {
      useDragState.setState({ dragging: true });
      state().edit((course) => ({
        ...course,
        pieces: course.pieces.map((p) => (p.id === 'p4' ? { ...p, at: [6, 0, 3] } : p)),
      }));
    });
    expect(screen.UNSAFE_getByType(SvgText).props.x).toBeGreaterThan(before + 40);
  });

  test('of fields that overlap, what lies over the chosen one says which of them counts', () => {
    const field = (family: string, size: number) => ({
      ...{
        family,
        at: [3, 0, 3] as [number, number, number],
        size: [size, size, size] as [number, number, number],
      },
    });
    act(() => open(layPieces(yard, [field('weight', 6), field('weight', 3), field('wind', 6)])));
    expect(words()).toEqual(['Weight', 'Weight', 'Wind']);
    act(() => state().choose(['p4']));
    expect(words()).toEqual(['Weight', 'Weight counts where both are', 'Wind']);
    act(() => state().choose(['p5']));
    expect(words()).toEqual(['Weight gives way to it', 'Weight', 'Wind']);
  });

  test('a chosen path is drawn with its points, numbered where they can be moved', () => {
    const motion = [
      {
        kind: 'path' as const,
        points: [
          [2, 0, 0],
          [4, 0, 2],
        ] as [number, number, number][],
      },
    ];
    act(() =>
      state().edit((course) => ({
        ...course,
        pieces: course.pieces.map((p) => (p.id === 'p2' ? { ...p, motion } : p)),
      })),
    );
    expect(screen.UNSAFE_queryAllByType(Path)).toHaveLength(0);
    act(() => state().choose(['p2']));
    expect(screen.UNSAFE_queryAllByType(Path).length).toBeGreaterThan(1);
    expect(words()).toEqual([]);
    act(() => useTune.getState().set({ tab: 'motion' }));
    expect(words()).toEqual(['2 m/s', '2 m/s', '2', '3']);
    act(() => useTune.getState().set({ tab: 'place' }));
  });

  test('a link is a curve from its cue to what it is done to', () => {
    const links: Course['links'] = [
      {
        id: 'l1',
        cue: { kind: 'touched', pieces: ['p2'] },
        effects: [{ kind: 'hide', pieces: ['p3'] }],
      } as never,
    ];
    act(() => state().edit((course) => ({ ...course, links })));
    const [{ props: curve }] = screen.UNSAFE_queryAllByType(Path);
    const [x, y] = /^M([\d.]+),([\d.]+)Q/.exec(curve.d)!.slice(1).map(Number);
    const [ax, ay] = pixel([6, 0.5, 0]);
    expect(Math.hypot(x - ax, y - ay)).toBeLessThan(1);
    const [{ props: dot }] = circles();
    const [bx, by] = pixel([0, 0, 6]);
    expect(Math.hypot(dot.cx - bx, dot.cy - by)).toBeLessThan(40);
  });
});
