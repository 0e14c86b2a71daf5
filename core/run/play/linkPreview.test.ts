import { addLink, layPieces, newCue, newEffect, shiftPhase } from '../../edit';
import { emptyCourse, type Course, type Link } from '../../course';
import { buildWorld, LinkPreview, NO_INPUT, initialState, tick, travelOf } from '..';

const pieces = layPieces(emptyCourse('Trial', 'free'), [
  { family: 'crate', at: [3, 0, 3] },
  { family: 'crate', at: [6, 0, 3], motion: [{ kind: 'bob', height: 1, period: 2 }] },
  { family: 'touch', at: [9, 0, 3] },
]);
const linked = (...links: (Pick<Link, 'cue' | 'effects'> & Partial<Link>)[]): Course =>
  links.reduce<Course>((course, link) => addLink(course, link).course, pieces);

test('a dry run shows what timers, delays and breaking bring about, without a runner', () => {
  const course = linked(
    { cue: newCue('start'), effects: [newEffect('hide', ['p1'])], delay: 1 },
    { cue: { kind: 'timer', seconds: 20 }, effects: [newEffect('stop', ['p2'])] },
    { cue: newCue('broken', ['p1']), effects: [newEffect('points')] },
    { cue: newCue('touched', ['p3']), effects: [newEffect('break', ['p1'])] },
  );
  const dry = new LinkPreview(course);
  expect(dry.firings).toEqual([
    { link: 'l1', tick: 121 },
    { link: 'l2', tick: 2400 },
    { link: 'l2', tick: 4800 },
    { link: 'l2', tick: 7200 },
  ]);
  dry.to(110);
  expect([...dry.gone()]).toEqual([]);
  dry.to(130);
  expect([...dry.gone()]).toEqual(['p1']);
  // Held where it was: the same at any later moment.
  dry.to(2400);
  const { shift } = dry.posing('p2').whole;
  dry.to(2460);
  expect(dry.posing('p2').whole.shift).toEqual(shift);
  // And back again.
  dry.to(60);
  expect([...dry.gone()]).toEqual([]);
});

test('a cue given by hand goes on to all that follows from it', () => {
  const course = linked(
    { cue: newCue('touched', ['p3']), effects: [newEffect('break', ['p1'])] },
    { cue: newCue('broken', ['p1']), effects: [newEffect('points')] },
    { cue: { kind: 'gathered', count: 3 }, effects: [newEffect('points')], delay: 0.5 },
  );
  expect(new LinkPreview(course).firings).toEqual([]);
  const tried = new LinkPreview(course, [
    { link: 'l1', tick: 30 },
    { link: 'l3', tick: 60 },
  ]);
  expect(tried.firings).toEqual([
    { link: 'l1', tick: 30 },
    { link: 'l2', tick: 30 },
    { link: 'l3', tick: 120 },
  ]);
});

test('two movers are brought into step by shifting one in time, whatever their motions are', () => {
  const moving = layPieces(emptyCourse('Trial', 'free'), [
    { family: 'lift', at: [0, 0, 0], params: { period: 4 } },
    { family: 'crate', at: [4, 0, 0], motion: [{ kind: 'bob', height: 1, period: 2 }] },
    {
      family: 'crate',
      at: [8, 0, 0],
      motion: [{ kind: 'path', points: [[4, 0, 0]], speed: 2 }],
    },
    { family: 'crate', at: [12, 0, 0] },
  ]);
  const travel = (course: Course, id: string) =>
    travelOf(
      course,
      course.pieces.find((piece) => piece.id === id)!,
      80,
    );
  for (const id of ['p1', 'p2', 'p3']) {
    const before = travel(moving, id)!;
    const shifted = travel(shiftPhase(moving, id, before.period / 4), id)!;
    // A quarter of the period on: twenty of eighty moments.
    before.ways.forEach((_, i) =>
      expect(shifted.ways[i]).toBeCloseTo(before.ways[(i + 20) % 80], 5),
    );
    expect(Math.max(...before.ways)).toBeGreaterThan(0.5);
  }
  expect(travel(moving, 'p4')).toBeNull();
});

test('what throwers send out in a dry run is where it is in a run, also after going back in time', () => {
  const thrower = {
    what: 'boulder',
    interval: 1.5,
    speed: 4,
    rise: 20,
    spread: 15,
    late: 0.4,
    swerve: 0.2,
    size: 0.8,
    life: 5,
    most: 5,
  } as const;
  const course: Course = {
    ...layPieces(emptyCourse('Trial', 'free'), [
      { family: 'slab', at: [0, 0, 0], size: [4, 0.4, 4] },
      { family: 'start', at: [0, 0.4, 0] },
      { family: 'slab', at: [20, 0, 0], size: [14, 0.4, 14] },
      { family: 'crate', at: [16, 0.4, 0], thrower },
    ]),
  };
  const world = buildWorld(course);
  const state = initialState(world);
  const dry = new LinkPreview(course);
  const seen: Float64Array[] = [];
  for (let i = 1; i <= 1200; i++) {
    tick(world, state, NO_INPUT, () => {});
    if (i % 100 !== 0) continue;
    dry.to(i);
    expect([...dry.state.projectiles]).toEqual([...state.projectiles]);
    seen.push(Float64Array.from(dry.state.projectiles));
  }
  // Something was thrown, and lay about at the end.
  expect(
    seen
      .at(-1)!
      .filter((_, i) => i % 11 === 0)
      .some((born) => born >= 0),
  ).toBe(true);
  dry.to(300);
  expect([...dry.state.projectiles]).toEqual([...seen[2]]);
});
