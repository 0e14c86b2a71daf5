import fc from 'fast-check';
import { toThin } from './thin';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;
/** Midday, so that no slot of a day begins near it. */
const NOW = 20_000 * DAY + DAY / 2;

/** Versions saved so long ago, newest first. */
const saved = (ages: readonly number[], label: string | null = null) =>
  [...ages]
    .sort((a, b) => a - b)
    .map((age, i, all) => ({ revision: all.length - i, saved: NOW - age, label }));
const keptOf = (versions: ReturnType<typeof saved>, dense = false) => {
  const gone = new Set(toThin(versions, dense));
  return versions.filter(({ revision }) => !gone.has(revision));
};
const every = (step: number, until: number) =>
  Array.from({ length: Math.floor(until / step) + 1 }, (_, i) => i * step);

test.each<[string, number, number, number, number]>([
  ['all of the last hour', 10_000, 0, HOUR - 1, 0],
  ['the last of each ten minutes of the last day', MINUTE, HOUR, DAY - 1, 10 * MINUTE],
  ['the last of each hour of the last week', 10 * MINUTE, DAY, 7 * DAY - 1, HOUR],
  ['the last of each day before', HOUR, 7 * DAY, 60 * DAY, DAY],
])('%s', (_, step, from, until, slot) => {
  const kept = keptOf(saved(every(step, until))).filter(({ saved: at }) => NOW - at >= from);
  if (slot === 0) return expect(kept).toHaveLength(Math.floor(until / step) + 1);
  const slots = kept.map(({ saved: at }) => Math.floor(at / slot));
  expect(new Set(slots).size).toBe(slots.length);
  // Nothing between is missing, and of each the last is what stays.
  expect(slots[0] - slots.at(-1)! + 1).toBe(slots.length);
  const inner = kept.slice(1, -1);
  expect(inner.every(({ saved: at }) => slot - (at % slot) <= step)).toBe(true);
});

test('what has a name stays, and so does the newest', () => {
  const versions = saved(every(MINUTE, 3 * DAY)).map((version) =>
    version.revision % 7 === 0 ? { ...version, label: 'Before the storm' } : version,
  );
  const kept = keptOf(versions);
  expect(kept.filter(({ label }) => label)).toEqual(versions.filter(({ label }) => label));
  expect(kept[0]).toBe(versions[0]);
});

test('work that rests does not melt away', () => {
  const versions = saved(every(MINUTE, HOUR - 1));
  const later = versions.map((version) => ({ ...version, saved: version.saved - 400 * DAY }));
  expect(toThin(later)).toEqual([]);
  expect(keptOf(versions, true)).toHaveLength(versions.length);
});

test('where the last hour is too much, the last of each of its minutes stays', () => {
  const kept = keptOf(saved(every(1000, HOUR - 1)), true);
  expect(kept.length).toBeGreaterThanOrEqual(60);
  expect(kept.length).toBeLessThanOrEqual(62);
});

test('thinning again changes nothing', () => {
  const ages = fc.array(fc.integer({ min: 0, max: 40 * DAY }), { maxLength: 300 });
  fc.assert(
    fc.property(ages, (list) => {
      const kept = keptOf(saved(list));
      expect(toThin(kept)).toEqual([]);
    }),
  );
});
