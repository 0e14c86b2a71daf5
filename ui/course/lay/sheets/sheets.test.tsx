import type { ReactElement } from 'react';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { layPieces, markPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { pieceBounds } from '@/core/pieces';
import { useView } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { usePlaces } from '../../../state/places';
import { useLay } from '../../open/laying';
import { useOpen } from '../../open/openStore';
import { AlignSheet } from './AlignSheet';
import { HiddenSheet } from './HiddenSheet';
import { NavigationProvider } from '../../commands/navigation';
import { LookSheet } from './LookSheet';
import { PiecesSheet } from './PiecesSheet';
import { SnapSheet } from './SnapSheet';

jest.mock('../../../state/afterFrame');
jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('../../../scene', () => ({
  ...jest.requireActual('../../../scene/view'),
  ...jest.requireActual('../../../scene/glide'),
}));
jest.mock('../../../parts', () => ({
  ...jest.requireActual<object>('../../../parts'),
  showToast: jest.fn(() => () => {}),
}));
jest.mock('expo-router', () => ({ router: { push: jest.fn() } }));

const store = () => useCourse.getState();
const nothing = () => {};
const press = (words: string) => fireEvent.press(screen.getByText(words));

beforeEach(() => {
  window.matchMedia = (() => ({ matches: true })) as never;
  usePlaces.setState({ courses: {} });
  useOpen.setState({ sheet: null });
  const course = layPieces(emptyCourse('Sheets', 'free'), [
    { family: 'block', at: [0, 0, 0], size: [2, 1, 2] },
    { family: 'block', at: [5, 0, 1], size: [2, 3, 2] },
    { family: 'crate', at: [9, 0, 4] },
  ]);
  store().open('a', 1, course, { kind: 'saved', at: 0 });
});

describe('all pieces', () => {
  const row = (words: RegExp) => screen.getAllByRole('button', { name: words })[0];

  test('each says what it is and where, and is chosen and looked at', () => {
    render(<PiecesSheet onClose={nothing} />);
    expect(screen.getByText(/x 5, y 0, z 1/)).toBeTruthy();
    fireEvent.press(row(/Crate/));
    expect([...store().choice]).toEqual(['p3']);
    expect(useView.getState().target).toEqual([9, 1, 4]);
    expect(screen.getByText('1 of 3 chosen.')).toBeTruthy();
  });

  test('several are chosen one by one, and let go again', () => {
    render(<PiecesSheet onClose={nothing} />);
    press('Add to what is chosen');
    for (const name of [/Crate/, /Block/]) fireEvent.press(row(name));
    expect([...store().choice].sort()).toEqual(['p1', 'p3']);
    fireEvent.press(row(/Crate/));
    expect([...store().choice]).toEqual(['p1']);
    press('Nothing chosen');
    expect(store().choice.size).toBe(0);
    act(() => useLay.setState({ adding: false }));
  });

  test('of twenty thousand a few are listed, and any is found by name', () => {
    const many = Array.from({ length: 20_000 }, (_, i) => ({
      id: `q${i}`,
      family: 'crate',
      at: [i, 0, 0] as [number, number, number],
      ...(i === 19_000 ? { name: 'Lamp oil' } : {}),
    }));
    act(() => store().edit((now) => ({ ...now, pieces: many })));
    render(<PiecesSheet onClose={nothing} />);
    expect(screen.getAllByRole('button', { name: /Crate/ })).toHaveLength(60);
    press('60 more of 20000');
    expect(screen.getAllByRole('button', { name: /Crate/ })).toHaveLength(120);
    fireEvent.changeText(screen.getByTestId('pieces-find'), 'lamp');
    expect(screen.getByText(/x 19000/)).toBeTruthy();
    fireEvent.changeText(screen.getByTestId('pieces-find'), 'nothing of the kind');
    expect(screen.getByText('No piece is called that.')).toBeTruthy();
  });
});

describe('hidden and locked', () => {
  test('says so when nothing is', () => {
    render(<HiddenSheet onClose={nothing} />);
    expect(screen.getByText('Nothing is hidden or locked.')).toBeTruthy();
  });

  test('each piece is shown, unlocked and named by itself', () => {
    store().edit((c) => markPieces(c, new Set(['p1', 'p2']), 'hidden', true));
    store().edit((c) => markPieces(c, new Set(['p2']), 'locked', true));
    render(<HiddenSheet onClose={nothing} />);
    fireEvent.changeText(screen.getAllByLabelText('Name of Block')[0], 'Far step');
    expect(store().course.pieces[0].name).toBe('Far step');
    fireEvent.press(screen.getByLabelText('Show Far step'));
    expect(store().course.pieces[0].hidden).toBeUndefined();
    expect(store().course.pieces[1].hidden).toBe(true);
    fireEvent.press(screen.getByLabelText('Unlock Block'));
    expect(store().course.pieces[1].locked).toBeUndefined();
    fireEvent.press(screen.getByLabelText('Show Block'));
    expect(screen.getByText('Nothing is hidden or locked.')).toBeTruthy();
  });

  test('layers too, by their names', () => {
    store().edit((c) => ({
      ...c,
      layers: [{ id: 'l1', name: 'Far side', hidden: true, locked: true }],
    }));
    render(<HiddenSheet onClose={nothing} />);
    fireEvent.press(screen.getByLabelText('Unlock Far side'));
    fireEvent.press(screen.getByLabelText('Show Far side'));
    expect(store().course.layers![0]).toMatchObject({ name: 'Far side' });
    expect(store().course.layers![0].hidden).toBeUndefined();
  });
});

const navigation = { to: nothing, help: nothing, times: nothing, runHere: nothing };
const renderOnCourse = (sheet: ReactElement) =>
  render(<NavigationProvider value={navigation}>{sheet}</NavigationProvider>);

describe('look and find', () => {
  test('a view is kept, gone back to with its work plane, and forgotten', () => {
    useView.getState().look({ target: [7, 2, 1], distance: 33, yaw: 20, pitch: 40 });
    useLay.setState({ level: 2 });
    const onClose = jest.fn();
    renderOnCourse(<LookSheet onClose={onClose} />);
    fireEvent.changeText(screen.getByTestId('view-name'), 'From the pier');
    press('Keep this view');
    useView.getState().look({ target: [0, 0, 0], distance: 9 });
    useLay.setState({ level: 0 });
    press('From the pier');
    expect(onClose).toHaveBeenCalled();
    expect(useView.getState()).toMatchObject({ target: [7, 2, 1], distance: 33, yaw: 20 });
    expect(useLay.getState().level).toBe(2);
    fireEvent.press(screen.getByLabelText('Forget From the pier'));
    expect(screen.queryByText('From the pier')).toBeNull();
  });

  test('the far side is half way round, the pad for flying is switched on, the finder is there', () => {
    useView.getState().look({ mode: 'free', yaw: -32, pitch: 30 });
    renderOnCourse(<LookSheet onClose={nothing} />);
    press('From the far side');
    expect(useView.getState().yaw).toBeCloseTo(148, 6);
    fireEvent(screen.getByLabelText('Flying pad'), 'valueChange', true);
    expect(useLay.getState().flying).toBe(true);
    press('Find a command');
    expect(useOpen.getState().sheet).toBe('finder');
    press('Hidden and locked');
    expect(useOpen.getState().sheet).toBe('hidden');
  });
});

test('what is chosen is lined up by a side, and spread evenly', () => {
  store().choose(['p1', 'p2', 'p3']);
  render(<AlignSheet onClose={nothing} />);
  fireEvent.press(screen.getByLabelText('Along z: Near'));
  const near = store().course.pieces.map((piece) => pieceBounds(piece).high[2]);
  expect(new Set(near.map((z) => z.toFixed(4))).size).toBe(1);
  fireEvent.press(screen.getByLabelText('Along x: Spread evenly'));
  const boxes = store().course.pieces.map(pieceBounds);
  expect(boxes[1].low[0] - boxes[0].high[0]).toBeCloseTo(boxes[2].low[0] - boxes[1].high[0], 5);
  act(() => store().undo());
  act(() => store().undo());
  expect(store().course.pieces[2].at).toEqual([9, 0, 4]);
});

describe('steps', () => {
  test('any step is typed; what is none is refused and nothing changes', () => {
    useLay.setState({ steps: [0.5, 0.5, 0.5] });
    render(<SnapSheet onClose={nothing} />);
    const type = (field: string, value: string) => {
      fireEvent.changeText(screen.getByTestId(field), value);
      fireEvent(screen.getByTestId(field), 'submitEditing');
    };
    type('step-x', '0.33');
    expect(useLay.getState().steps).toEqual([0.33, 0.5, 0.5]);
    type('step-x', '-2');
    expect(useLay.getState().steps).toEqual([0.33, 0.5, 0.5]);
    expect(screen.getByText('A step goes from 0 to 100.')).toBeTruthy();
    type('step-turn', '12');
    expect(useLay.getState().turnStep).toBe(12);
  });

  test('the grid is laid on what is chosen, with its place and its turn', () => {
    act(() => {
      store().edit((c) => ({
        ...c,
        pieces: c.pieces.map((piece) =>
          piece.id === 'p2' ? { ...piece, turn: [0, 30, 0] } : piece,
        ),
      }));
      store().choose(['p2']);
    });
    render(<SnapSheet onClose={nothing} />);
    press('Lay the grid on what is chosen');
    expect(useLay.getState().gridOrigin).toEqual([5, 0, 1]);
    expect(useLay.getState().gridTurn).toBe(30);
  });
});
