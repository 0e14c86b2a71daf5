import fc from 'fast-check';
import {
  FLIGHT_ACTS,
  FLIGHT_SPEED,
  flightSpeed,
  NO_FLIGHT,
  pushedBy,
  type FlightAct,
} from './flight';

const push = fc.double({ min: -1, max: 1, noNaN: true });

test('on a stage forwards is up, and nothing leads out of it', () => {
  fc.assert(
    fc.property(push, push, push, push, (right, forward, up, turned) => {
      const [x, y, z] = flightSpeed({ right, forward, up }, 180 * turned, true);
      expect(x).toBeCloseTo(FLIGHT_SPEED * right, 9);
      expect(y).toBeCloseTo(FLIGHT_SPEED * Math.max(-1, Math.min(1, up + forward)), 9);
      expect(z).toBe(0);
    }),
  );
});

test('elsewhere ahead is where the eye looks, whichever way that is, and as fast', () => {
  fc.assert(
    fc.property(push, push, push, (forward, up, turned) => {
      const [x, y, z] = flightSpeed({ right: 0, forward, up }, 180 * turned, false);
      expect(Math.hypot(x, z)).toBeCloseTo(FLIGHT_SPEED * Math.abs(forward), 9);
      expect(y).toBeCloseTo(FLIGHT_SPEED * up, 9);
      // To the right of it is at a right angle, on the same level.
      const [rx, ry, rz] = flightSpeed({ right: 1, forward: 0, up: 0 }, 180 * turned, false);
      expect(x * rx + z * rz).toBeCloseTo(0, 6);
      expect(ry).toBeCloseTo(0, 9);
    }),
  );
});

test('keys push as long as they are held, and against each other not at all', () => {
  expect(pushedBy([])).toEqual(NO_FLIGHT);
  expect(pushedBy(['right', 'button'])).toEqual({ right: 1, forward: 0, up: 1 });
  expect(pushedBy(Object.keys(FLIGHT_ACTS) as FlightAct[])).toEqual(NO_FLIGHT);
});
