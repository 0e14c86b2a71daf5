import { toThin } from './thin';

const HOUR = 3_600_000;

test('older versions thin out to the last of each day, the newest fifty stay', () => {
  // One an hour for ten days, newest first.
  const revisions = Array.from({ length: 240 }, (_, i) => ({
    revision: 240 - i,
    saved: (240 - i) * HOUR,
  }));
  const gone = new Set(toThin(revisions));
  const kept = revisions.filter(({ revision }) => !gone.has(revision));
  expect(kept.slice(0, 50)).toEqual(revisions.slice(0, 50));
  const days = kept.slice(50).map(({ saved }) => Math.floor(saved / (24 * HOUR)));
  expect(new Set(days).size).toBe(days.length);
  // The last version of a day is the one that stays.
  expect(kept.slice(50).every(({ saved }) => saved % (24 * HOUR) === 23 * HOUR)).toBe(true);
});
