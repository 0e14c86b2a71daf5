import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { addLink, layPieces, newEffect, setBehaviour } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { useCourse } from '../../state/courseStore';
import { Toasts } from '../../parts';
import { TunePanel } from '../screen/TunePanel';
import { coursePeriod, scrubSeconds } from '../open/preview/scrub';
import { endTuning, useTune } from '../open/tuneStore';
import { linkWords } from './links/linkWords';

// What is told of the course a moment after an edit would be told outside of any test's doing.
jest.useFakeTimers();
jest.mock('../../state/afterFrame');
jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('../../scene', () => {
  // Its eye is at [1, 2, 3].
  const view = {
    target: [1, 2, -7],
    distance: 10,
    yaw: 0,
    pitch: 0,
    mode: 'side',
    look: jest.fn(),
  };
  const useView = (pick: (v: typeof view) => unknown) => pick(view);
  return { useView: Object.assign(useView, { getState: () => view }) };
});

// What is told by runs has tests of its own, and what by a proof.
jest.mock('../../state/queries', () => ({ useCourseOnServer: () => ({ data: undefined }) }));
jest.mock('../../state/useBest', () => ({ useReplay: () => null }));
jest.mock('../runs/useKnownRuns', () => ({ useKnownRuns: () => ({ find: () => null }) }));

const state = () => useCourse.getState();
const piece = (id = 'p2') => state().course.pieces.find((p) => p.id === id)!;
/** By what is written on it, or by its name where nothing is. */
const press = (label: string) =>
  fireEvent.press(screen.queryByLabelText(label) ?? screen.getByText(label));
const tab = (name: string) => fireEvent.press(screen.getByRole('tab', { name }));
const type = (id: string, value: string) => {
  fireEvent.changeText(screen.getByTestId(id), value);
  fireEvent(screen.getByTestId(id), 'blur');
};

beforeEach(() => {
  Object.assign(globalThis, { document: { activeElement: null } });
  const course = layPieces(emptyCourse('Trial', 'free'), [
    { family: 'start', at: [0, 0, 0] },
    { family: 'crate', at: [4, 0, 0], name: 'Chest' },
    { family: 'touch', at: [8, 0, 0], name: 'Mark' },
    { family: 'lantern', at: [12, 0, 0] },
  ]);
  state().open('a', 1, course, { kind: 'saved', at: 0 });
  state().choose(['p2']);
  act(() => {
    endTuning();
    useTune.getState().set({ tab: 'place', link: null });
  });
});

test('motions are added, set, held to their limits and taken away', () => {
  render(<TunePanel />);
  tab('Motion');
  tab('Bob');
  type('motion-height', '1.5');
  type('motion-period', '0');
  expect(screen.getByText('The value is shorter than 0.1 s.')).toBeTruthy();
  expect(piece().motion).toEqual([{ kind: 'bob', height: 1.5, period: 2.5 }]);
  press('Counted in beats');
  tab('Chase');
  press('When the runner is near');
  type('wake-range', '5');
  expect(piece()).toMatchObject({
    motion: [
      { kind: 'bob', beats: true },
      { kind: 'chase', home: true },
    ],
    wake: { by: 'near', range: 5 },
  });
  press('Take the bob away');
  press('Take the chase away');
  expect(piece().motion).toBeUndefined();
  expect(piece().wake).toBeUndefined();
});

test('a path is set point by point, and a thrower by its figures', () => {
  render(<TunePanel />);
  tab('Motion');
  tab('Path');
  expect(useTune.getState().drawingPath).toBe(true);
  type('path-speed', '3');
  // A point more is put without touching the scene, and typed where it is to be.
  fireEvent.press(screen.getByTestId('path-more'));
  expect(useTune.getState().pathPoint).toBe(2);
  act(() => state().undo());
  act(() => useTune.getState().set({ pathPoint: null }));
  press('Round and on');
  press('Smooth');
  expect(piece().motion).toEqual([
    { kind: 'path', points: [[4, 0, 0]], speed: 3, after: 'round', smooth: true },
  ]);
  fireEvent.press(screen.getByTestId('add-thrower'));
  type('thrower-interval', '1.2');
  press('is slowed');
  expect(piece().thrower).toMatchObject({ what: 'boulder', interval: 1.2, does: 'slow' });
  press('Send out nothing');
  expect(piece().thrower).toBeUndefined();
});

test('a piece becomes a checkpoint with a number of its own, a goal, a region, and itself again', () => {
  render(<TunePanel />);
  tab('Contact');
  press('Checkpoint');
  expect(piece()).toMatchObject({ role: 'checkpoint', mark: { number: 1 } });
  type('mark-number', '4');
  press('Respawning here puts all back as it was');
  expect(piece().mark).toEqual({ number: 4, resets: true });
  press('Goal');
  expect(piece()).toMatchObject({ role: 'goal' });
  expect(piece().mark).toBeUndefined();
  press('Region');
  expect(piece().role).toBe('region');
  press('As its family');
  expect(piece().role).toBeUndefined();
});

test('a thrower throws what any piece is, late and off its speed as far as one says', () => {
  render(<TunePanel />);
  tab('Motion');
  fireEvent.press(screen.getByTestId('add-thrower'));
  type('thrower-late', '0.5');
  type('thrower-swerve', '0.2');
  expect(piece().thrower).toMatchObject({ late: 0.5, swerve: 0.2 });
  fireEvent.press(screen.getByTestId('pick-thrown'));
  const { id, family } = state().course.pieces.find((one) => one.family !== piece().family)!;
  act(() => useTune.getState().picking!.take(id));
  expect(piece().thrower!.what).toBe(family);
});

test('a portal’s partner is touched, and what cannot be one says so', () => {
  state().edit((now) =>
    layPieces(now, [
      { family: 'portal', at: [9, 0, 0] },
      { family: 'portal', at: [12, 0, 0], params: { pair: 7 } },
    ]),
  );
  const [portal, other] = state().course.pieces.slice(-2);
  state().choose([portal.id]);
  render(<TunePanel />);
  tab('Links');
  expect(screen.getByText('Nothing yet.')).toBeTruthy();
  fireEvent.press(screen.getByTestId('pick-partner'));
  expect(() => useTune.getState().picking!.take('p1')).toThrow('another portal');
  act(() => useTune.getState().picking!.take(other.id));
  expect(state().course.pieces.find(({ id }) => id === portal.id)!.params).toEqual({ pair: 7 });
  expect(screen.queryByText('Nothing yet.')).toBeNull();
});

test('a link is copied, and waits for all of its pieces', () => {
  state().edit((now) => ({
    ...now,
    links: [
      {
        id: 'l1',
        cue: { kind: 'touched', pieces: ['p1', 'p2'] },
        effects: [
          { kind: 'message', text: 'First' },
          { kind: 'sound', sound: 'bell' },
        ],
      },
    ],
  }));
  render(<TunePanel />);
  tab('Links');
  fireEvent.press(screen.getByText(/touched/));
  press('All of them, each at any time');
  expect(state().course.links![0].cue.all).toBe(true);
  press('Copy the link');
  const [first, second] = state().course.links!;
  expect(second.id).not.toBe(first.id);
  expect({ ...second, id: 'l1' }).toEqual(first);
  expect(useTune.getState().link).toBe(second.id);
});

test('contact: roles, hurts, one-way faces, breaking and allowances', () => {
  render(<TunePanel />);
  tab('Contact');
  press('Hazard');
  press('Thrown off');
  expect(piece()).toMatchObject({ role: 'hazard', hurt: { does: 'push' } });
  press('Pickup');
  press('Worth more');
  press('As its family');
  expect(piece().role).toBeUndefined();
  press('Stops from one side only');
  type('one-way-side', '90');
  press('May be dropped through');
  expect(piece().oneWay).toEqual({ side: 90, drop: true });
  press('When met so fast');
  expect(piece().breaks).toEqual({ speed: 4 });
  press('Its own bounce and grip');
  type('surface-bounce', '80');
  type('surface-grip', '20');
  expect(piece().surface).toEqual({ bounce: 0.8, grip: 0.2 });
  type('surface-bounce', '120');
  expect(piece().surface?.bounce).toBe(0.8);
  press('As usual');
  expect(piece().surface).toBeUndefined();
  press('Its own');
  type('allowance', '-6');
  expect(piece().allowance).toEqual({ by: 'cm', value: -6 });
  press('For every crate');
  expect(piece().allowance).toBeUndefined();
  expect(state().course.allowances).toEqual({ families: { crate: { by: 'cm', value: -6 } } });
  expect(screen.getByTestId('shape-difference')).toHaveTextContent(
    /from the picture; their areas differ/,
  );
  // What one piece has is its own matter: that of its family stays.
  const family = { families: { crate: { by: 'cm', value: -6 } } };
  press('Its own');
  type('allowance', '2');
  expect(piece().allowance).toEqual({ by: 'cm', value: 2 });
  expect(state().course.allowances).toEqual(family);
  press('As usual here');
  expect(piece().allowance).toBeUndefined();
  expect(state().course.allowances).toEqual(family);
  expect(screen.getByText(/As every crate: −6 cm/)).toBeTruthy();
  type('family-allowance', '-3');
  expect(state().course.allowances).toEqual({ families: { crate: { by: 'cm', value: -3 } } });
  press('For every crate');
  expect(state().course.allowances).toBeUndefined();
});

test('a link is begun at a piece, set, and listed from both its ends', () => {
  state().choose(['p3']);
  render(<TunePanel />);
  tab('Links');
  fireEvent.press(screen.getByTestId('begin-link'));
  press('Stood in for');
  press('Hide');
  fireEvent.press(screen.getAllByTestId('pick-piece')[1]);
  act(() => useTune.getState().picking!.take('p2'));
  press('Once in a run');
  const [link] = state().course.links!;
  expect(link).toMatchObject({
    cue: { kind: 'stood', pieces: ['p3'], seconds: 1 },
    effects: [{ kind: 'hide', pieces: ['p2'] }],
    once: true,
  });
  expect(linkWords(link, state().course.pieces)).toBe('Mark stood in for 1 s: hide Chest');
  act(() => {
    useTune.getState().set({ link: null });
    state().choose(['p2']);
  });
  expect(screen.getByText('Done to it')).toBeTruthy();
  act(() => state().choose([]));
  tab('Links');
  press('Mark stood in for 1 s: hide Chest');
  press('Take the link away');
  expect(state().course.links).toBeUndefined();
});

test('the course: allowances by role, order, time, legs, camera and tempo', () => {
  state().choose([]);
  render(<TunePanel />);
  tab('Course');
  press('Kind');
  expect(state().course.allowances?.roles?.hazard).toEqual({ by: 'cm', value: -8 });
  press('Exact');
  expect(state().course.allowances).toBeUndefined();
  press('In any order');
  type('time-limit', '90');
  press('One more leg');
  press('Above');
  type('camera-distance', '30');
  fireEvent.press(screen.getByTestId('give-tempo'));
  type('tempo-beats', '400');
  expect(screen.getByText(/above 300/)).toBeTruthy();
  type('tempo-beats', '96');
  expect(state().course).toMatchObject({
    order: 'free',
    limit: 90,
    legs: [{ par: 3 }],
    camera: { kind: 'above', distance: 30 },
    tempo: { beats: 96 },
  });
  press('Stays');
  expect(state().course.camera).toEqual({ kind: 'fixed', at: [1, 2, 3] });
});

test('the scrubber plays one period of everything, or a minute', () => {
  const moving = (...periods: number[]) =>
    layPieces(
      emptyCourse('Moving'),
      periods.map((period, i) => ({
        family: 'crate',
        at: [i * 3, 0, 0] as [number, number, number],
        motion: [{ kind: 'bob' as const, height: 1, period }],
      })),
    );
  expect(coursePeriod(moving())).toBe(0);
  expect(coursePeriod(moving(2, 3))).toBe(6);
  expect(coursePeriod(moving(7.1, 11.3))).toBe(60);
});

test('a mover is laid beside another and dragged into step with it', () => {
  const course = layPieces(state().course, [
    { family: 'lift', at: [0, 0, 6], name: 'Hoist', params: { period: 4 } },
  ]);
  state().edit(() => course);
  state().edit((now) =>
    setBehaviour(now, new Set(['p2']), 'motion', [{ kind: 'bob', height: 1, period: 2 }]),
  );
  render(<TunePanel />);
  tab('Motion');
  expect(screen.queryByLabelText('Phase of Chest')).toBeNull();
  fireEvent.press(screen.getByTestId('phase-beside'));
  act(() => useTune.getState().picking!.take('p5'));
  const row = screen.getByTestId('phase-p5');
  fireEvent(row, 'layout', { nativeEvent: { layout: { width: 320 } } });
  const at = (pageX: number) => ({ nativeEvent: { pageX } });
  fireEvent(row, 'responderGrant', at(100));
  fireEvent(row, 'responderMove', at(140));
  fireEvent(row, 'responderMove', at(180));
  fireEvent(row, 'responderRelease', at(180));
  // A quarter of the row of four seconds: a second later, three quarters of its round ahead.
  expect(piece('p5').params!.phase).toBeCloseTo(0.75, 6);
  act(() => state().undo());
  expect(piece('p5').params!.phase).toBeUndefined();
  // The arrow keys do the same, a tenth of a second at a time.
  const press = (key: string) =>
    fireEvent(screen.getByTestId('phase-p5'), 'keyDown', {
      key,
      preventDefault: () => {},
      stopPropagation: () => {},
    });
  press('ArrowLeft');
  press('Tab');
  expect(piece('p5').params!.phase).toBeCloseTo(0.025, 6);
  press('ArrowRight');
  expect(piece('p5').params!.phase ?? 0).toBeCloseTo(0, 6);
  tab('By itself');
  expect(screen.queryByTestId('phase-p5')).toBeNull();
});

test('a piece is made loose, and what moves by itself is not', () => {
  render(
    <>
      <TunePanel />
      <Toasts />
    </>,
  );
  tab('Contact');
  press('Loose: falls and is pushed');
  expect(piece().loose).toBe(true);
  expect(screen.getByTestId('loose-weight')).toHaveTextContent('Weighs 600 kg, being of timber.');
  tab('Motion');
  tab('Bob');
  expect(piece().motion).toBeUndefined();
  expect(screen.getByText('A loose piece falls and is pushed: it has no motion.')).toBeTruthy();

  tab('Contact');
  press('Stands firm');
  expect(piece().loose).toBeUndefined();
});

test('links that act are lit while the motion plays, and tried by hand', () => {
  const { course } = addLink(state().course, {
    cue: { kind: 'timer', seconds: 4 },
    effects: [newEffect('hide', ['p2'])],
  });
  state().open('linked', 1, course, { kind: 'saved', at: 0 });
  render(<TunePanel />);
  tab('Links');
  expect(scrubSeconds(state().course)).toBe(30);
  expect(screen.queryByText('Acts')).toBeNull();
  act(() => useTune.getState().set({ at: 4.2 }));
  expect(screen.getByText('Acts')).toBeTruthy();
  act(() => useTune.getState().set({ at: 6 }));
  expect(screen.queryByText('Acts')).toBeNull();
  act(() => useTune.getState().set({ link: 'l1' }));
  fireEvent.press(screen.getByTestId('try-link'));
  expect(useTune.getState()).toMatchObject({ playing: true, tried: [{ link: 'l1', tick: 732 }] });
  act(() => useTune.getState().set({ at: 6.2 }));
  expect(screen.getByTestId('link-acts')).toBeTruthy();
});
