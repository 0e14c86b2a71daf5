import fc from 'fast-check';
import { cases } from '../deep.testing';
import { kilnYard } from '@/demo/courses/kilnYard';
import { lowTideSteps } from '@/demo/courses/lowTideSteps';
import { netLoftLinks } from '@/demo/courses/netLoftLinks';
import { checkCourse } from '../check';
import { CourseError, withoutPrivate } from '../course';
import { courseLength, plannedRoute, elevationProfile } from '../route';
import { buildWorld, loadPhysics, NO_INPUT, initialState, tick } from '../run';
import { drawCourse, openText, toShareCode, fromShareCode } from '.';

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

/** Every place in a document at which something stands. */
function placesOf(value: Json, at: (string | number)[] = []): (string | number)[][] {
  if (value === null || typeof value !== 'object') return [at];
  const inner = Object.entries(value).flatMap(([key, v]) =>
    placesOf(v, [...at, Array.isArray(value) ? Number(key) : key]),
  );
  return at.length === 0 ? inner : [at, ...inner];
}

function damage(document: Json, place: readonly (string | number)[], junk: Json | undefined): Json {
  const copy = structuredClone(document);
  let host = copy as Record<string | number, Json>;
  for (const key of place.slice(0, -1)) {
    host = host[key] as never;
    // An earlier damage may have taken away what this one was meant for.
    if (host === null || typeof host !== 'object') return copy;
  }
  const key = place[place.length - 1];
  if (junk === undefined) {
    if (Array.isArray(host)) host.splice(Number(key), 1);
    else delete host[key];
  } else host[key] = junk;
  return copy;
}

const ANYTHING: readonly (Json | undefined)[] = [undefined, null, true, '', 0, [], {}, [1, 2, 3]];
const NUMBERS = [0, -1, 0.05, 1, 2, 7.5, 90, 1e6, -1e9, 1e300];
const WORDS = ['x', 'p1', 'p2', 'slab', 'wall', 'platform', 'portal', 'crate', 'swing', 'left'];

/** Something else where a value stands: most often of its own kind, which is refused least. */
function junkFor(value: Json, luck: number): Json | undefined {
  const pool =
    luck % 4 === 0
      ? ANYTHING
      : typeof value === 'number'
        ? NUMBERS
        : typeof value === 'string'
          ? WORDS
          : [undefined];
  return pool[Math.floor(luck / 4) % pool.length];
}

const valueAt = (document: Json, place: readonly (string | number)[]): Json =>
  place.reduce<Json>((value, key) => (value as Record<string | number, Json>)[key], document);

const documents = [lowTideSteps, netLoftLinks, kilnYard].map(({ course }) => {
  const json = JSON.parse(JSON.stringify(course)) as Json;
  return { json, places: placesOf(json) };
});

beforeAll(() => loadPhysics(kilnYard.course));

test('a damaged document is refused in words, or is a course that can be checked, drawn, shared and run', () => {
  let opened = 0;
  fc.assert(
    fc.property(
      fc.nat(documents.length - 1),
      fc.array(fc.tuple(fc.nat(), fc.nat()), { minLength: 1, maxLength: 2 }),
      (which, hits) => {
        const { json, places } = documents[which];
        const broken = hits.reduce((now, [at, luck]) => {
          const place = places[at % places.length];
          return damage(now, place, junkFor(valueAt(json, place), luck));
        }, json);
        let course;
        try {
          course = openText(JSON.stringify(broken));
        } catch (problem) {
          expect(problem).toBeInstanceOf(CourseError);
          expect((problem as Error).message.length).toBeGreaterThan(8);
          return;
        }
        opened++;
        expect(fromShareCode(toShareCode(course))).toEqual(withoutPrivate(course));
        const errors = checkCourse(course).filter(({ weight }) => weight === 'error');
        if (errors.some(({ rule }) => rule === 'family' || rule === 'setting')) return;
        drawCourse(course);
        elevationProfile(course, plannedRoute(course).way);
        expect(courseLength(course)).toBeGreaterThanOrEqual(0);
        if (errors.length > 0) return;
        const world = buildWorld(course);
        const state = initialState(world);
        for (let i = 0; i < 30; i++) tick(world, state, NO_INPUT, () => undefined);
        expect([state.x, state.y, state.z].every(Number.isFinite)).toBe(true);
      },
    ),
    { numRuns: cases(80), seed: 2 },
  );
  expect(opened).toBeGreaterThanOrEqual(cases(12));
}, 120_000);
