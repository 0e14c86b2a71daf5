import fc from 'fast-check';
import {
  gestureStep,
  NO_GESTURE,
  type Gesture,
  type GestureAction,
  type GestureEvent,
} from './gesture';
import { pinchOf } from './pinchOf';

const down = (id: number, x: number, y: number, more = {}): GestureEvent => ({
  type: 'down',
  id,
  at: { x, y },
  button: 0,
  wanted: false,
  ...more,
});
const move = (id: number, x: number, y: number): GestureEvent => ({
  type: 'move',
  id,
  at: { x, y },
});
const up = (id: number, lifted = true): GestureEvent => ({ type: 'up', id, lifted });

function play(events: readonly GestureEvent[]): { gesture: Gesture; actions: GestureAction[] } {
  let gesture = NO_GESTURE;
  const actions: GestureAction[] = [];
  for (const event of events) {
    const [next, done] = gestureStep(gesture, event);
    gesture = next;
    actions.push(...done);
  }
  return { gesture, actions };
}
const done = (...events: GestureEvent[]) => play(events).actions.map((action) => action.do);

describe('one finger', () => {
  it('taps where it lifts, though it trembled', () => {
    const { actions } = play([down(1, 50, 50), move(1, 54, 47), up(1)]);
    expect(actions).toEqual([{ do: 'tap', at: { x: 54, y: 47 } }]);
  });

  it('drags what the tool wanted, from the first movement that is no trembling', () => {
    const wanted = down(1, 50, 50, { wanted: true });
    expect(done(wanted, move(1, 55, 50), move(1, 70, 50), move(1, 71, 50), up(1))).toEqual([
      'drag',
      'drag',
      'drop',
    ]);
  });

  it('moves the view by what it went since it was last heard', () => {
    const { actions } = play([down(1, 50, 50), move(1, 70, 50), move(1, 75, 44)]);
    expect(actions).toEqual([
      { do: 'view', dx: 20, dy: 0, button: 0 },
      { do: 'view', dx: 5, dy: -6, button: 0 },
    ]);
  });

  it('once moved does not tap, though it came back', () => {
    expect(done(down(1, 50, 50), move(1, 90, 50), move(1, 50, 50), up(1))).not.toContain('tap');
  });

  it('held down drags however little it moves', () => {
    expect(done(down(1, 50, 50), { type: 'held' }, move(1, 51, 50), up(1))).toEqual([
      'drag',
      'drop',
    ]);
  });

  it('held down and not moved puts down what it took', () => {
    expect(done(down(1, 50, 50), { type: 'held' }, up(1))).toEqual(['drop']);
  });

  it('taken away by the device leaves all as it was', () => {
    const wanted = down(1, 50, 50, { wanted: true });
    expect(done(wanted, move(1, 90, 50), up(1, false))).toEqual(['drag', 'cancel']);
    expect(done(down(1, 50, 50), up(1, false))).toEqual([]);
  });

  it('with another button does not tap', () => {
    expect(done(down(1, 50, 50, { button: 2 }), up(1))).toEqual([]);
  });
});

describe('two fingers', () => {
  it('end the drag of the first and move the view', () => {
    const wanted = down(1, 50, 50, { wanted: true });
    expect(done(wanted, move(1, 90, 50), down(2, 120, 50), move(2, 140, 50))).toEqual([
      'drag',
      'cancel',
      'pinch',
    ]);
  });

  it('never tap, and the one that stays does nothing more', () => {
    expect(done(down(1, 50, 50), down(2, 90, 50), up(2), move(1, 10, 10), up(1))).toEqual([]);
  });

  it('taken by the tool are put down when one lifts, once', () => {
    const events = [down(1, 50, 50), down(2, 90, 50), move(2, 95, 50)];
    expect(done(...events, { type: 'pinched' }, up(2), up(1))).toEqual(['pinch', 'drop']);
  });

  it('drawn apart make it larger, turned turn it, moved alike shift it by as much', () => {
    const [a, b] = [
      { x: 100, y: 100 },
      { x: 200, y: 100 },
    ];
    expect(pinchOf(b, { x: 300, y: 100 }, a).factor).toBeCloseTo(2);
    expect(pinchOf(b, { x: 100, y: 200 }, a).turn).toBeCloseTo(90);
    const first = pinchOf(a, { x: 110, y: 100 }, b);
    const second = pinchOf(b, { x: 210, y: 100 }, { x: 110, y: 100 });
    expect(first.dx + second.dx).toBeCloseTo(10);
    expect(first.factor * second.factor).toBeCloseTo(1);
  });

  it('across the half turn do not spin it round', () => {
    const still = { x: 100, y: 100 };
    const { turn } = pinchOf({ x: 0, y: 101 }, { x: 0, y: 99 }, still);
    expect(Math.abs(turn)).toBeLessThan(3);
  });
});

describe('whatever is heard', () => {
  const place = fc.record({
    x: fc.integer({ min: 0, max: 390 }),
    y: fc.integer({ min: 0, max: 844 }),
  });
  const id = fc.integer({ min: 1, max: 3 });
  const heard: fc.Arbitrary<GestureEvent> = fc.oneof(
    fc.record({
      type: fc.constant('down' as const),
      id,
      at: place,
      button: fc.constantFrom(0, 2),
      wanted: fc.boolean(),
    }),
    fc.record({ type: fc.constant('move' as const), id, at: place }),
    fc.record({ type: fc.constant('up' as const), id, lifted: fc.boolean() }),
  );

  it('each drag is ended once, and none is left when all have lifted', () => {
    fc.assert(
      fc.property(fc.array(heard, { maxLength: 40 }), (events) => {
        const { gesture, actions } = play([...events, up(1), up(2), up(3)]);
        expect(gesture.fingers.size).toBe(0);
        let dragging = false;
        for (const { do: what } of actions) {
          if (what === 'drag') dragging = true;
          else if (what === 'drop' || what === 'cancel') dragging = false;
          else if (what === 'tap') expect(dragging).toBe(false);
        }
        expect(dragging).toBe(false);
      }),
      { numRuns: 500 },
    );
  });
});
