import fc from 'fast-check';
import * as v from 'valibot';
import { DIFFICULTIES, EXPLORE_ORDERS, ExploreQuery, LENGTHS } from '@/core/protocol';
import { COURSE_KINDS, RUNNERS } from '@/core/course';
import {
  ALL,
  askedOf,
  DIFFICULTY_CHOICES,
  filtersOf,
  KIND_CHOICES,
  LENGTH_CHOICES,
  narrowing,
  ORDER_CHOICES,
  paramsOf,
  RUNNER_CHOICES,
  type Filters,
} from './filters';

const some = <T>(values: readonly T[]) => fc.option(fc.constantFrom(...values), { nil: undefined });
const filters: fc.Arbitrary<Filters> = fc.record({
  words: fc.string({ maxLength: 40 }).map((words) => words.trim()),
  order: fc.constantFrom(...EXPLORE_ORDERS),
  runner: some(RUNNERS),
  kind: some(COURSE_KINDS),
  length: some(['short', 'middling', 'long'] as const),
  difficulty: some(['gentle', 'fair', 'hard'] as const),
  unfinished: fc.boolean(),
  followed: fc.boolean(),
});

test('what an address says is what it was made from, and what the server understands', () => {
  fc.assert(
    fc.property(filters, (asked) => {
      expect(filtersOf(paramsOf(asked))).toEqual(asked);
      expect(v.safeParse(ExploreQuery, JSON.parse(JSON.stringify(askedOf(asked)))).success).toBe(
        true,
      );
    }),
  );
});

test('an address that said more says all of it no longer', () => {
  fc.assert(
    fc.property(filters, filters, (before, now) => {
      // An address is changed in what it is told, and keeps the rest.
      expect(filtersOf({ ...paramsOf(before), ...paramsOf(now) })).toEqual(now);
      expect(filtersOf({ ...paramsOf(before), ...paramsOf({ ...ALL }) })).toEqual(ALL);
    }),
  );
});

test('what is as usual is not said, and what is said wrongly not asked', () => {
  expect(Object.values(paramsOf(ALL)).filter((one) => one !== undefined)).toEqual([]);
  const wrong = {
    order: 'best',
    runner: 'gull',
    kind: ['laps', 'hold'],
    length: '',
    unfinished: 'no',
  };
  expect(filtersOf(wrong)).toEqual(ALL);
  expect(filtersOf({ words: 'a'.repeat(300) }).words).toBe('');
});

test('the filters that leave something out are counted', () => {
  expect(narrowing(ALL)).toBe(0);
  expect(narrowing({ ...ALL, words: 'gull', order: 'new' })).toBe(0);
  expect(narrowing({ ...ALL, runner: 'cart', length: 'long', unfinished: true })).toBe(3);
  expect(narrowing({ ...ALL, followed: true })).toBe(1);
});

test('each answer that the server knows may be chosen', () => {
  const values = (choices: readonly { readonly value: string }[]) =>
    choices.map(({ value }) => value).filter((value) => value !== 'any');
  expect(values(ORDER_CHOICES).sort()).toEqual([...EXPLORE_ORDERS].sort());
  expect(values(RUNNER_CHOICES).sort()).toEqual([...RUNNERS].sort());
  expect(values(KIND_CHOICES).sort()).toEqual([...COURSE_KINDS].sort());
  expect(values(LENGTH_CHOICES)).toEqual(Object.keys(LENGTHS));
  expect(values(DIFFICULTY_CHOICES)).toEqual(Object.keys(DIFFICULTIES));
});
