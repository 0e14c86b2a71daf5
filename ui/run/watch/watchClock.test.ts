import fc from 'fast-check';
import { advanced, soughtTo, toggled, watchClock, type WatchTime } from './watchClock';

const held = (tick: number): WatchTime => ({ tick, playing: false, speed: 1 });

test('it plays as fast as told and stops at its end', () => {
  const playing = { tick: 0, playing: true, speed: 0.5 };
  expect(advanced(playing, 1, 240)).toEqual({ tick: 60, playing: true, speed: 0.5 });
  expect(advanced(playing, 9, 240)).toEqual({ tick: 240, playing: false, speed: 0.5 });
  expect(advanced(held(7), 9, 240)).toEqual(held(7));
});

test('at its end it plays from the start again, else it goes on where it is', () => {
  expect(toggled(held(240), 240)).toMatchObject({ tick: 0, playing: true });
  expect(toggled(held(100), 240)).toMatchObject({ tick: 100, playing: true });
  expect(toggled({ ...held(100), playing: true }, 240)).toMatchObject({ playing: false });
});

test('wherever it is sent it is at a whole tick of the run', () => {
  fc.assert(
    fc.property(fc.double({ noNaN: true }), fc.integer({ min: 0, max: 9999 }), (tick, ticks) => {
      const at = soughtTo(held(0), tick, ticks).tick;
      expect(Number.isInteger(at) && at >= 0 && at <= ticks).toBe(true);
    }),
  );
});

test('opened at its start it plays, opened within it waits there', () => {
  expect(watchClock(500).getState()).toMatchObject({ tick: 0, playing: true });
  expect(watchClock(500, 90).getState()).toMatchObject({ tick: 90, playing: false });
  const clock = watchClock(500, 90);
  clock.getState().setSpeed(2);
  clock.getState().toggle();
  clock.getState().advance(0.5);
  expect(clock.getState()).toMatchObject({ tick: 210, playing: true });
});
