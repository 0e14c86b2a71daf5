import { layPieces } from '@/core/assemble';
import { emptyCourse, type Course } from '@/core/course';
import { courseHash, buildWorld, Recorder, startState, tick, type Run } from '@/core/run';
import { DEMO_RUNS } from '@/demo/runs';
import { Somebody, testServer } from './testing/client';

/** A walk to the right of two seconds. */
const course = layPieces(emptyCourse('Quay Walk'), [
  { family: 'slab', at: [3, -0.5, 0], size: [12, 0.5, 2] },
  { family: 'start', at: [-2, 0, 0] },
  { family: 'lantern', at: [7, 0, 0] },
]);

/** A run to the right that stops pushing after so many ticks. */
function runRight(on: Course, push: number): Run {
  const world = buildWorld(on);
  const state = startState(world);
  const recorder = new Recorder();
  for (let i = 0; i < 400 && state.finish < 0; i++) {
    const input = { x: i < push ? 16 : 0, z: 0, jump: false };
    recorder.add(input);
    tick(world, state, input, () => {});
  }
  return recorder.run(courseHash(on), Math.max(0, state.finish));
}

let server: Awaited<ReturnType<typeof testServer>>;
let isla: Somebody;
const somebody = () => new Somebody(server.running.port);

beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.remove());
beforeEach(() => {
  isla = somebody();
});

const create = async (who: Somebody, what: Course = course) =>
  (await who.ask('POST', '/courses', { course: what })).body as { id: string; revision: number };

test('a first save makes an account that only its cookie opens', async () => {
  const made = await isla.ask('POST', '/courses', { course });
  expect(made.status).toBe(201);
  expect(made.headers.getSetCookie()[0]).toMatch(/HttpOnly.*SameSite=Lax/);
  const { id } = made.body;
  expect((await isla.ask('GET', `/courses/${id}`)).body.course).toEqual(course);
  for (const [method, body] of [['GET'], ['PUT', { revision: 1, course }], ['DELETE']] as const) {
    expect((await somebody().ask(method, `/courses/${id}`, body)).status).toBe(401);
  }
  const other = somebody();
  await create(other);
  expect((await other.ask('PUT', `/courses/${id}`, { revision: 1, course })).status).toBe(404);
  expect((await other.ask('POST', `/courses/${id}/publish`)).status).toBe(404);
});

test('a save names the revision it came from; a stale one gets both versions back', async () => {
  const { id } = await create(isla);
  const saved = await isla.ask('PUT', `/courses/${id}`, {
    revision: 1,
    course: { ...course, name: 'Second' },
  });
  expect(saved.body.revision).toBe(2);
  const stale = await isla.ask('PUT', `/courses/${id}`, {
    revision: 1,
    course: { ...course, name: 'Late' },
  });
  expect(stale.status).toBe(409);
  expect(stale.body.error.details.theirs).toMatchObject({
    revision: 2,
    course: { name: 'Second' },
  });
  const { revisions } = (await isla.ask('GET', `/courses/${id}/revisions`)).body;
  expect(revisions.map((r: { revision: number }) => r.revision)).toEqual([2, 1]);
  expect((await isla.ask('GET', `/courses/${id}/revisions/1`)).body.course.name).toBe('Quay Walk');
});

test('deleting is taken back', async () => {
  const { id } = await create(isla);
  await isla.ask('DELETE', `/courses/${id}`);
  expect((await isla.ask('GET', `/courses/${id}`)).status).toBe(404);
  await isla.ask('POST', `/courses/${id}/restore`);
  expect((await isla.ask('GET', '/courses')).body.courses).toHaveLength(1);
});

test('a name and a passphrase open the courses elsewhere', async () => {
  await create(isla);
  expect((await isla.ask('PUT', '/me', { name: 'Isla M', passphrase: 'short' })).status).toBe(400);
  expect(
    (await isla.ask('PUT', '/me', { name: 'Isla M', passphrase: 'grey seals sing' })).body.name,
  ).toBe('Isla M');
  const elsewhere = somebody();
  await create(elsewhere, { ...course, name: 'Made there' });
  expect(
    (await elsewhere.ask('PUT', '/me', { name: 'isla m', passphrase: 'another phrase' })).status,
  ).toBe(409);
  expect(
    (await elsewhere.ask('POST', '/session', { name: 'Isla M', passphrase: 'wrong passphrase' }))
      .status,
  ).toBe(401);
  await elsewhere.ask('POST', '/session', { name: 'isla m', passphrase: 'grey seals sing' });
  const names = (await elsewhere.ask('GET', '/courses')).body.courses.map(
    (c: { course: Course }) => c.course.name,
  );
  expect(names.sort()).toEqual(['Made there', 'Quay Walk']);
  await elsewhere.ask('DELETE', '/session');
  expect((await elsewhere.ask('GET', '/me')).body.known).toBe(false);
});

test('publishing asks for a proof of the course as it is', async () => {
  const { id } = await create(isla);
  expect((await isla.ask('POST', `/courses/${id}/publish`)).body.error.code).toBe('no-proof');
  const proof = await isla.ask('POST', `/courses/${id}/proof`, { run: runRight(course, 400) });
  expect(proof.body.best).toBe(true);
  // Painting keeps the proof; moving the lantern does not.
  const painted = {
    ...course,
    pieces: course.pieces.map((p) => ({ ...p, look: { material: 'moss' as const } })),
  };
  await isla.ask('PUT', `/courses/${id}`, { revision: 1, course: painted });
  const { slug } = (await isla.ask('POST', `/courses/${id}/publish`)).body;
  expect(slug).toMatch(/^quay-walk-/);
  const moved: Course = {
    ...course,
    pieces: course.pieces.map((p) => (p.family === 'lantern' ? { ...p, at: [6, 0, 0] } : p)),
  };
  await isla.ask('PUT', `/courses/${id}`, { revision: 2, course: moved });
  expect((await isla.ask('POST', `/courses/${id}/publish`)).status).toBe(409);

  // Runs on what is published go on counting; after it is published anew, older ones do not fit.
  const player = somebody();
  const run = runRight(course, 400);
  expect((await player.ask('POST', `/published/${slug}/runs`, { run, player: 'Tam' })).status).toBe(
    201,
  );
  await isla.ask('POST', `/courses/${id}/proof`, { run: runRight(moved, 400) });
  await isla.ask('POST', `/courses/${id}/publish`);
  const late = await player.ask('POST', `/published/${slug}/runs`, { run });
  expect([late.status, late.body.error.code]).toEqual([409, 'other-version']);
});

test('the server alone decides the time of a run', async () => {
  const player = somebody();
  const [{ run: honest }] = DEMO_RUNS['salt-pan-hop'];
  const lying = { ...honest, claim: 1.5 };
  const sent = await player.ask('POST', '/published/salt-pan-hop/runs', {
    run: lying,
    player: 'Brice',
  });
  expect(sent.body.time).toBe(honest.claim);
  const { best } = (await player.ask('GET', '/published/salt-pan-hop')).body;
  expect(best.find((b: { own: boolean }) => b.own)).toEqual({
    player: 'Brice',
    time: honest.claim,
    own: true,
  });

  const refusals: [Partial<Run>, number, string][] = [
    [{ inputs: honest.inputs.slice(0, 3) }, 422, 'not-finished'],
    [{ course: DEMO_RUNS['low-tide-steps'][0].run.course }, 409, 'other-version'],
    [{ core: 99 }, 409, 'other-core'],
    [{ inputs: [[5, 1001, 0, 0]] }, 400, 'broken'],
  ];
  for (const [change, status, code] of refusals) {
    const answer = await player.ask('POST', '/published/salt-pan-hop/runs', {
      run: { ...honest, ...change },
    });
    expect([answer.status, answer.body.error.code]).toEqual([status, code]);
  }
});

test('bad requests are told what is wrong and change nothing', async () => {
  const { id } = await create(isla);
  const broken = structuredClone(course);
  broken.pieces[0].size = [-1, 1, 1];
  const answers = [
    await isla.ask('PUT', `/courses/${id}`, { revision: 1, course: broken }),
    await isla.ask('PUT', `/courses/${id}`, {
      revision: 1,
      course: { ...course, pieces: [{ id: 'a', family: 'rocket', at: [0, 0, 0] }] },
    }),
    await isla.ask('PUT', `/courses/${id}`, '{"revision": 1, "cour'),
    await isla.ask('PUT', `/courses/${id}`, {
      revision: 1,
      course: { ...course, notes: 'x'.repeat(9_000_000) },
    }),
    await isla.ask('GET', '/nowhere'),
  ];
  expect(answers.map(({ status }) => status)).toEqual([400, 400, 400, 413, 404]);
  expect(answers[0].body.error.message).toContain('pieces.0.size.0');
  expect(answers[3].body.error.message).toContain('8 MB');
  expect((await isla.ask('GET', `/courses/${id}`)).body.revision).toBe(1);
});

test('too many runs at once are turned away with a time to come back', async () => {
  const busy = await testServer({ workers: 1, queue: 1 });
  try {
    const [{ run }] = DEMO_RUNS['low-tide-steps'];
    const players = Array.from({ length: 12 }, () => new Somebody(busy.running.port));
    const answers = await Promise.all(
      players.map((p) => p.ask('POST', '/published/low-tide-steps/runs', { run })),
    );
    const away = answers.filter(({ status }) => status === 503);
    expect(away.length).toBeGreaterThan(0);
    expect(away[0].headers.get('retry-after')).toBe('5');
    expect(answers.filter(({ status }) => status === 201).length).toBe(12 - away.length);
  } finally {
    await busy.remove();
  }
});

test('writing too often is turned away', async () => {
  const strict = await testServer({ writesPerMinute: 3 });
  try {
    const eager = new Somebody(strict.running.port);
    const statuses: number[] = [];
    for (let i = 0; i < 4; i++)
      statuses.push((await eager.ask('POST', '/courses', { course })).status);
    expect(statuses).toEqual([201, 201, 201, 429]);
    expect((await eager.ask('GET', '/courses')).status).toBe(200);
  } finally {
    await strict.remove();
  }
});
