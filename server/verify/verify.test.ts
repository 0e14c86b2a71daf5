import { layPieces, type PieceInHand } from '@/core/assemble';
import { emptyCourse, MOST_LOOSE, type Course } from '@/core/course';
import { buildWorld, courseHash, Recorder, startState, tick, type Run } from '@/core/run';
import { Somebody, testServer } from '../testing/client';

const walk = (...pieces: PieceInHand[]): Course =>
  layPieces(emptyCourse('Long Quay'), [
    { family: 'slab', at: [3, -0.5, 0], size: [12, 0.5, 2] },
    { family: 'start', at: [-2, 0, 0] },
    { family: 'lantern', at: [7, 0, 0] },
    ...pieces,
  ]);

/** A walk to the right with so many hops on the way. */
function runRight(on: Course, hops = 0): Run {
  const world = buildWorld(on);
  const state = startState(world);
  const recorder = new Recorder();
  for (let i = 0; i < 600 && state.finish < 0; i++) {
    const input = { x: 16, z: 0, jump: i % 60 === 1 && i < 60 * hops };
    recorder.add(input);
    tick(world, state, input, () => {});
  }
  return recorder.run(courseHash(on), Math.max(0, state.finish));
}

/** A run of nothing, as sent by whom no honest run can be made for. */
const idle = (on: Course, ticks: number): Run => ({
  ...new Recorder().run(courseHash(on), 1),
  inputs: [[ticks, 0, 0, 0]],
});

let server: Awaited<ReturnType<typeof testServer>>;
const ask = async (course: Course, run: Run) => {
  const maker = new Somebody(server.running.port);
  const { id } = (await maker.ask('POST', '/courses', { course })).body;
  return maker.ask('POST', `/courses/${id}/proof`, { run });
};

describe('with time enough', () => {
  beforeAll(async () => {
    server = await testServer();
  });
  afterAll(() => server.remove());

  test('a course of more loose pieces than any run can bear is refused at once', async () => {
    const crates = Array.from({ length: MOST_LOOSE + 1 }, (_, i): PieceInHand => ({
      family: 'crate',
      at: [i * 2, 0, 8],
      loose: true,
    }));
    const heavy = walk(...crates);
    const from = Date.now();
    const { status, body } = await ask(heavy, idle(heavy, 200_000));
    expect([status, body.error.code]).toEqual([422, 'too-heavy']);
    expect(body.error.message).toContain(String(MOST_LOOSE));
    // Its run would have taken hours.
    expect(Date.now() - from).toBeLessThan(20_000);
  });

  test('what cannot run at all is refused in words', async () => {
    const course = walk();
    const bare = { ...course, pieces: course.pieces.filter(({ family }) => family !== 'start') };
    const { status, body } = await ask(bare, idle(bare, 100));
    expect([status, body.error.code]).toEqual([422, 'not-runnable']);
  });

  test('fewest strokes are ranked by strokes, then by time', async () => {
    const course: Course = { ...walk(), kind: 'strokes' };
    const maker = new Somebody(server.running.port);
    const { id } = (await maker.ask('POST', '/courses', { course })).body;
    const prove = (hops: number) =>
      maker.ask('POST', `/courses/${id}/proof`, { run: runRight(course, hops) });
    expect((await prove(2)).body.best).toBe(true);
    // One hop fewer is better, however long it takes; one more never is.
    expect((await prove(1)).body.best).toBe(true);
    expect((await prove(2)).body.best).toBe(false);
    const { slug } = (await maker.ask('POST', `/courses/${id}/publish`)).body;
    const send = async (player: string, hops: number) => {
      const somebody = new Somebody(server.running.port);
      const run = runRight(course, hops);
      return (await somebody.ask('POST', `/published/${slug}/runs`, { run, player })).body;
    };
    expect((await send('Tam', 2)).place).toBe(1);
    expect((await send('Morven', 0)).place).toBe(1);
    const last = await send('Brice', 1);
    expect(last.place).toBe(2);
    expect(last.best.map(({ player }: { player: string }) => player)).toEqual([
      'Morven',
      'Brice',
      'Tam',
    ]);
    expect(last.best[1].strokes).toBe(1);
  });
});

describe('with no time at all', () => {
  beforeAll(async () => {
    server = await testServer({ verifySeconds: 0 });
  });
  afterAll(() => server.remove());

  test('a run that takes longer to check than it may is refused, and the next one is heard', async () => {
    const course = walk();
    const first = await ask(course, idle(course, 5000));
    expect([first.status, first.body.error.code]).toEqual([422, 'too-heavy']);
    const next = await ask(course, idle(course, 10));
    expect(next.body.error.code).toBe('not-finished');
  });
});
