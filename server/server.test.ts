import type { Course } from '@/core/course';
import { DEMO_RUNS } from '@/demo/runs';
import type { Run } from '@/core/run';
import { Somebody, testServer } from './testing/client';
import { runRight, walk } from './testing/courses';

const course = walk();

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
});

test('a save names the revision it came from; a stale one gets both versions back', async () => {
  const { id } = await create(isla);
  const save = (revision: number, name: string) =>
    isla.ask('PUT', `/courses/${id}`, { revision, course: { ...course, name } });
  expect((await save(1, 'Second')).body.revision).toBe(2);
  const stale = await save(1, 'Late');
  expect(stale.status).toBe(409);
  expect(stale.body.error.details.theirs).toMatchObject({
    revision: 2,
    course: { name: 'Second' },
  });
});

test('a save whose answer was lost succeeds when it is sent again, and only that one', async () => {
  const { id } = await create(isla);
  const save = (revision: number, name: string) =>
    isla.ask('PUT', `/courses/${id}`, { revision, course: { ...course, name } });
  const first = await save(1, 'Second');
  const again = await save(1, 'Second');
  expect([again.status, again.body]).toEqual([200, first.body]);
  const { versions } = (await isla.ask('GET', `/courses/${id}/versions`)).body;
  expect(versions).toHaveLength(2);
  await save(2, 'Third');
  expect((await save(1, 'Second')).status).toBe(409);
});

test('a course begun without the server is kept once by its own id, however often it is sent', async () => {
  const id = 'begun_at-sea';
  const send = (who: Somebody, name = 'Begun at sea') =>
    who.ask('POST', '/courses', { id, course: { ...course, name } });
  const [first, again] = [await send(isla), await send(isla)];
  expect([first.status, first.body.id, first.body.revision]).toEqual([201, id, 1]);
  expect([again.status, again.body]).toEqual([201, first.body]);
  expect((await isla.ask('GET', '/courses')).body.courses).toHaveLength(1);
  // Gone on with here while its answer was lost: both versions are told.
  const later = await send(isla, 'Gone on with');
  expect([later.status, later.body.error.code]).toEqual([409, 'stale']);
  expect(later.body.error.details.theirs.course.name).toBe('Begun at sea');
  // Nobody gets at another's course by naming it.
  const other = await send(somebody());
  expect([other.status, other.body.error.code, other.body.error.details]).toEqual([
    409,
    'taken',
    {},
  ]);
  await isla.ask('DELETE', `/courses/${id}`);
  expect((await send(isla)).status).toBe(409);
});

test.each(['short', 'much-too-long-an-id', 'with space-1', '../etc/passw', 12])(
  'an id like %p is none',
  async (id) => {
    expect((await isla.ask('POST', '/courses', { id, course })).status).toBe(400);
  },
);

test('two saves of one revision at once: one is kept, the other is told', async () => {
  const { id } = await create(isla);
  const answers = await Promise.all(
    ['Here', 'There'].map((name) =>
      isla.ask('PUT', `/courses/${id}`, { revision: 1, course: { ...course, name } }),
    ),
  );
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
});

test('publishing asks for a proof of the course as it is', async () => {
  const { id } = await create(isla);
  expect((await isla.ask('POST', `/courses/${id}/publish`)).body.error.code).toBe('no-proof');
  const proof = await isla.ask('POST', `/courses/${id}/proof`, { run: runRight(course) });
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
  expect((await player.play(slug, runRight(course, 3), 'Orla')).status).toBe(201);
  await isla.ask('POST', `/courses/${id}/proof`, { run: runRight(moved) });
  await isla.ask('POST', `/courses/${id}/publish`);
  const late = await player.play(slug, runRight(course, 5));
  expect([late.status, late.body.error.code]).toEqual([409, 'other-version']);
});

test('what is its maker’s alone is not published, and does not make what is out stale', async () => {
  const noted: Course = {
    ...course,
    notes: 'Tam must not know',
    sketch: { points: [[0, 0, 0]], notes: [{ at: [0, 0, 0], text: 'Ask Isla' }] },
  };
  const { id } = await create(isla, noted);
  await isla.ask('POST', `/courses/${id}/proof`, { run: runRight(noted) });
  const { slug } = (await isla.ask('POST', `/courses/${id}/publish`)).body;
  const out = await somebody().see(slug);
  expect(JSON.stringify(out.body)).not.toMatch(/Tam must|Ask Isla/);
  expect(out.body.course.sketch).toEqual({ points: [[0, 0, 0]] });
  await isla.ask('PUT', `/courses/${id}`, { revision: 1, course: { ...noted, notes: 'Later' } });
  const [entry] = (await isla.ask('GET', '/courses')).body.courses;
  expect(entry.published).toEqual({ slug, current: true, shown: true });
});

test('the server alone decides the time of a run', async () => {
  const player = somebody();
  const [{ run: makers }] = DEMO_RUNS['salt-pan-hop'];
  // Near the goal a little to the side: a run of one's own, as fast as the maker's.
  const [ticks, , z, jump] = makers.inputs.at(-1)!;
  const honest: Run = { ...makers, inputs: [...makers.inputs.slice(0, -1), [ticks, 1, z, jump]] };
  const sent = await player.play('salt-pan-hop', { ...honest, claim: 1.5 }, 'Wren');
  expect(sent.body.time).toBe(honest.claim);
  const { best } = (await player.ask('GET', '/published/salt-pan-hop')).body;
  expect(best.find((b: { own: boolean }) => b.own)).toMatchObject({
    player: 'Wren',
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
    const answer = await somebody().play('salt-pan-hop', {
      ...honest,
      inputs: [[9, 1, 0, 0], ...honest.inputs],
      ...change,
    });
    expect([answer.status, answer.body.error.code]).toEqual([status, code]);
  }
});

test('bad requests are told what is wrong and change nothing', async () => {
  const { id } = await create(isla);
  const broken = structuredClone(course);
  broken.pieces[0].size = [-1, 1, 1];
  const strange = { ...course, pieces: [{ id: 'a', family: 'rocket', at: [0, 0, 0] }] };
  const answers = [
    await isla.ask('PUT', `/courses/${id}`, { revision: 1, course: broken }),
    await isla.ask('PUT', `/courses/${id}`, { revision: 1, course: strange }),
    await isla.ask('PUT', `/courses/${id}`, '{"revision": 1, "cour'),
    await isla.ask('PUT', `/courses/${id}`, {
      revision: 1,
      course: { ...course, notes: 'x'.repeat(9_000_000) },
    }),
    await isla.ask('PUT', `/courses/${id}`, {
      revision: 1,
      course: { ...course, more: 'x'.repeat(30_000) },
    }),
    await isla.ask('PUT', `/courses/${id}`),
    await isla.ask('PUT', `/courses/${id}`, '[]'),
    await isla.ask('GET', '/nowhere'),
  ];
  expect(answers.map(({ status }) => status)).toEqual([400, 400, 400, 413, 400, 400, 400, 404]);
  expect(answers[0].body.error.message).toContain('pieces.0.size.0');
  expect(answers[3].body.error.message).toContain('8 MB');
  expect((await isla.ask('GET', `/courses/${id}`)).body.revision).toBe(1);
});

test('a little that is not known yet is kept for later versions', async () => {
  const later = { ...course, weather: { rain: 0.5 } } as Course;
  const { id } = await create(isla, later);
  expect((await isla.ask('GET', `/courses/${id}`)).body.course).toEqual(later);
});

test('too many runs at once are turned away with a time to come back', async () => {
  const busy = await testServer({ workers: 1, queue: 1 });
  try {
    const [{ run }] = DEMO_RUNS['low-tide-steps'];
    const players = Array.from({ length: 12 }, () => new Somebody(busy.running.port));
    const answers = await Promise.all(players.map((p) => p.play('low-tide-steps', run)));
    const away = answers.filter(({ status }) => status === 503);
    expect(away.length).toBeGreaterThan(0);
    expect(away[0].headers.get('retry-after')).toBe('5');
    // It is the run of a maker of the demo, whoever sends it.
    const told = answers.filter(({ body }) => body.error?.code === 'same-run');
    expect(told.length).toBe(12 - away.length);
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
