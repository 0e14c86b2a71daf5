import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { useCourse } from '../../state/courseStore';
import { useLay } from '../open/laying';
import { CopiesSheet } from './sheets/CopiesSheet';
import { SnapSheet } from './sheets/SnapSheet';
import { SwapSheet } from './sheets/SwapSheet';
import { ChooseOptions } from './tray/ChooseOptions';
import { LayerOptions } from './tray/LayerOptions';
import { PaintOptions } from './tray/PaintOptions';
import { ScatterOptions } from './tray/ScatterOptions';
import { SymmetryOptions } from './tray/SymmetryOptions';

// What is told of the course a moment after an edit would be told outside of any test's doing.
jest.useFakeTimers();
jest.mock('../../state/afterFrame');
jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('../../scene', () => {
  const view = { target: [0, 0, 0], mode: 'free', look: jest.fn() };
  const useView = (pick: (v: typeof view) => unknown) => pick(view);
  return { useView: Object.assign(useView, { getState: () => view }) };
});

const state = () => useCourse.getState();
const pieces = () => state().course.pieces;
const piece = (id: string) => pieces().find((p) => p.id === id)!;
const chosen = () => [...state().choice].sort();
const choose = (...ids: string[]) => act(() => state().choose(ids));
/** By what is written on it, or by its name where nothing is. */
const press = (label: string) =>
  fireEvent.press(screen.queryByLabelText(label) ?? screen.getByText(label));
const type = (id: string, text: string) => {
  fireEvent.changeText(screen.getByTestId(id), text);
  fireEvent(screen.getByTestId(id), 'submitEditing');
};

beforeEach(() => {
  Object.assign(globalThis, { document: { activeElement: null } });
  const course = layPieces(emptyCourse('Trial', 'free'), [
    { family: 'start', at: [0, 0, 0] },
    { family: 'block', at: [6, 0, 0], size: [2, 1, 2] },
    { family: 'block', at: [9, 0, 4], size: [2, 1, 2] },
    { family: 'thorns', at: [6, 1, 0] },
  ]);
  state().open('laying', 1, course, { kind: 'saved', at: 0 });
});

describe('copies', () => {
  const onClose = jest.fn();
  beforeEach(() => {
    onClose.mockClear();
    choose('p2');
    render(<CopiesSheet onClose={onClose} />);
  });

  test('in steps: sums are typed, all of it is one step, and the copies are chosen as well', () => {
    type('copies-count', '4');
    type('copies-x', '1.5+0.5');
    type('copies-y', '0,25');
    fireEvent.press(screen.getByTestId('copies-make'));
    expect(
      pieces()
        .slice(4)
        .map(({ at }) => at),
    ).toEqual([1, 2, 3, 4].map((n) => [6 + 2 * n, 0.25 * n, 0]));
    expect(chosen()).toHaveLength(5);
    expect(onClose).toHaveBeenCalled();
    act(() => state().undo());
    expect(pieces()).toHaveLength(4);
  });

  test('in a row: as many as there is room for at about the spacing', () => {
    press('Row');
    press('z');
    type('copies-length', '10');
    type('copies-spacing', '3');
    expect(screen.getByText('3 copies, 3.33 m apart.')).toBeTruthy();
    fireEvent.press(screen.getByTestId('copies-make'));
    const zs = pieces()
      .slice(4)
      .map(({ at }) => at[2]);
    expect(zs[2]).toBeCloseTo(10, 6);
  });

  test('mirrored over a plane only the copies are chosen; far too many are refused', () => {
    type('copies-count', '20000');
    fireEvent.press(screen.getByTestId('copies-make'));
    expect(screen.getByText(/at most 2000/)).toBeTruthy();
    expect(pieces()).toHaveLength(4);
    press('Mirror');
    press('x');
    type('copies-at', '1');
    fireEvent.press(screen.getByTestId('copies-make'));
    expect(pieces()[4]).toMatchObject({ family: 'block', at: [-4, 0, 0] });
    expect(chosen()).toEqual([pieces()[4].id]);
  });
});

test('steps: one axis by itself, all at once, and off', () => {
  render(<SnapSheet onClose={() => undefined} />);
  const option = (label: string, nth: number) =>
    fireEvent.press([...screen.queryAllByLabelText(label), ...screen.queryAllByText(label)][nth]);
  option('2 m', 0);
  expect(useLay.getState().steps).toEqual([2, 2, 2]);
  // Any step can be typed, for each axis.
  fireEvent.changeText(screen.getByTestId('step-y'), '0.1');
  fireEvent(screen.getByTestId('step-y'), 'submitEditing');
  expect(useLay.getState().steps).toEqual([2, 0.1, 2]);
  option('45°', 0);
  expect(useLay.getState().turnStep).toBe(45);
  option('Off', 0);
  expect(useLay.getState().steps).toEqual([0, 0, 0]);
});

test('swapped for a piece found by words, keeping its place and size', () => {
  const onClose = jest.fn();
  choose('p2');
  render(<SwapSheet onClose={onClose} />);
  fireEvent.changeText(screen.getByTestId('swap-find'), 'zzz');
  expect(screen.getByText('No piece by that name.')).toBeTruthy();
  fireEvent.changeText(screen.getByTestId('swap-find'), 'planking');
  fireEvent.press(screen.getByTestId('family-boards'));
  expect(piece('p2')).toMatchObject({ family: 'boards', at: [6, 0, 0], size: [2, 1, 2] });
  expect(onClose).toHaveBeenCalled();
});

test('many are chosen: all, the others, alike, and all that stands over the same place', () => {
  render(<ChooseOptions />);
  press('All');
  expect(chosen()).toEqual(['p1', 'p2', 'p3', 'p4']);
  choose('p2');
  press('Same');
  expect(chosen()).toEqual(['p2', 'p3']);
  press('Others');
  expect(chosen()).toEqual(['p1', 'p4']);
  choose('p2');
  press('Region');
  expect(chosen()).toEqual(['p2', 'p4']);
  press('None');
  expect(chosen()).toEqual([]);
});

test('a layer takes what is chosen, is named, hidden, ordered and taken away again', () => {
  choose('p2', 'p3');
  render(<LayerOptions />);
  fireEvent.press(screen.getByTestId('layer-new'));
  fireEvent.press(screen.getByTestId('layer-new'));
  const layers = () => state().course.layers!.map(({ name }) => name);
  fireEvent.press(screen.getByText('Layer 2'));
  fireEvent.changeText(screen.getByLabelText('Name of the layer'), 'Far side');
  expect(layers()).toEqual(['Layer 1', 'Far side']);
  fireEvent(screen.getByLabelText('Name of the layer'), 'blur');
  expect(screen.getByText('2 pieces')).toBeTruthy();
  press('Far side earlier');
  expect(layers()).toEqual(['Far side', 'Layer 1']);
  choose('p3');
  press('Put the choice into Layer 1');
  expect(screen.getAllByText('1 piece')).toHaveLength(2);
  press('Hide Layer 1');
  press('Lock Far side');
  expect(state().course.layers).toMatchObject([{ locked: true }, { hidden: true }]);
  press('Show all');
  press('Unlock all');
  expect(state().course.layers!.some(({ hidden, locked }) => hidden || locked)).toBe(false);
  press('Delete Far side, keep its pieces');
  expect(layers()).toEqual(['Layer 1']);
  expect(pieces()).toHaveLength(4);
  expect(piece('p2').layer).toBeUndefined();
});

test('symmetry about what is chosen: its axis is moved, pieces are exempt, and off leaves the copies', () => {
  choose('p2');
  render(<SymmetryOptions />);
  fireEvent.press(screen.getByTestId('symmetry-mirror-x'));
  expect(state().course.symmetry).toMatchObject({ kind: 'mirror-x', at: [6, 0] });
  press('Axis x less');
  expect(state().course.symmetry!.at).toEqual([5.5, 0]);
  act(() => state().edit((c) => layPieces(c, [{ family: 'crate', at: [3, 0, 2] }])));
  expect(
    pieces()
      .slice(4)
      .map(({ at }) => at[0]),
  ).toEqual([3, 8]);
  choose(pieces()[5].id);
  fireEvent.press(screen.getByTestId('symmetry-exempt'));
  expect(
    pieces()
      .slice(4)
      .map(({ at }) => at[0]),
  ).toEqual([8]);
  act(() => state().undo());
  fireEvent.press(screen.getByTestId('symmetry-off'));
  expect(pieces()).toHaveLength(6);
  expect(pieces().some(({ twin }) => twin)).toBe(false);
});

test('paint: what is chosen takes it, the family’s own is left out, a ground is painted whole', () => {
  choose('p2');
  render(<PaintOptions />);
  press('Moss');
  press('Chosen');
  expect(piece('p2').look).toEqual({ material: 'moss' });
  press('Own');
  press('Chosen');
  expect(piece('p2').look).toBeUndefined();
  press('Ground');
  expect(useLay.getState().wholeGround).toBe(true);
  press('Ground');
});

test('what is strewn is chosen among the scenery; an area needs no width', () => {
  render(<ScatterOptions />);
  expect(screen.getByLabelText('Width more')).toBeTruthy();
  fireEvent.press(screen.getByTestId('scatter-area'));
  expect(screen.queryByLabelText('Width more')).toBeNull();
  const before = useLay.getState().scattering.families;
  fireEvent.press(screen.getByTestId('family-pine'));
  expect(useLay.getState().scattering.families).toEqual([...before, 'pine']);
  fireEvent.press(screen.getByTestId('family-pine'));
  press('Pieces per 10 m² more');
  expect(useLay.getState().scattering).toMatchObject({ families: before, density: 5 });
  fireEvent.press(screen.getByTestId('scatter-stroke'));
});
