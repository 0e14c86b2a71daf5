import { create } from 'zustand';
import { snappingSlice, type Snapping } from './snapping';

const store = create<Snapping>()(snappingSlice);
const now = () => store.getState();

beforeEach(() => now().restoreGrid(undefined));

test('a step that is set turns snapping on', () => {
  now().toggleSnap('snapping');
  expect(now().snapping).toBe(false);
  now().setSteps([1, 2, 3]);
  expect(now()).toMatchObject({ steps: [1, 2, 3], snapping: true });
});

test('the turn step stays within half a turn, the grid within a whole one', () => {
  now().setTurnStep(400);
  expect(now().turnStep).toBe(180);
  now().setTurnStep(-5);
  expect(now().turnStep).toBe(0);
  now().placeGrid([1, 0, 2], -90);
  expect(now()).toMatchObject({ gridOrigin: [1, 0, 2], gridTurn: 270 });
});

test("a course's grid is restored; what it does not say is as usual", () => {
  now().placeGrid([9, 9, 9], 45);
  now().toggleSnap('corners');
  now().restoreGrid({ steps: [0.25, 1, 0.25], turnStep: 45, ends: false });
  expect(now()).toMatchObject({
    steps: [0.25, 1, 0.25],
    turnStep: 45,
    gridOrigin: [0, 0, 0],
    gridTurn: 0,
    ends: false,
    corners: false,
    surface: true,
  });
});

test('suspending leaves the switch as it is', () => {
  now().suspendSnapping(true);
  expect(now()).toMatchObject({ snapping: true, snapSuspended: true });
  now().suspendSnapping(false);
  expect(now().snapSuspended).toBe(false);
});
