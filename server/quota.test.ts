import { Limits } from './api/limits';
import { Somebody, testServer } from './testing/client';
import { walk } from './testing/courses';

const course = walk();
/** The course, with so many kB of notes. */
const noted = (kilobytes: number, name = 'Noted') => ({
  ...course,
  name,
  sketch: {
    points: [],
    picture: {
      data: `data:image/png;base64,${'A'.repeat(kilobytes * 1000)}`,
      at: [0, 0, 0],
      width: 10,
      aspect: 1,
    },
  },
});
const MB = 1000;

async function during(
  change: Parameters<typeof testServer>[0],
  act: (
    who: () => Somebody,
    config: Awaited<ReturnType<typeof testServer>>['config'],
  ) => Promise<void>,
) {
  const server = await testServer(change);
  try {
    await act(() => new Somebody(server.running.port), server.config);
  } finally {
    await server.remove();
  }
}

test('one maker keeps so much and no more, and hears how to make room', () =>
  during({ makerMegabytes: 5 }, async (somebody) => {
    const [maker, other] = [somebody(), somebody()];
    const make = (who: Somebody) => who.ask('POST', '/courses', { course: noted(2 * MB) });
    const { id } = (await make(maker)).body;
    expect((await make(maker)).status).toBe(201);
    const full = await make(maker);
    expect([full.status, full.body.error.code]).toEqual([409, 'full']);
    expect(full.body.error.message).toMatch(/5 MB.*bin/);
    // A save may still change what is there, as long as it fits.
    const save = (kilobytes: number, revision: number) =>
      maker.ask('PUT', `/courses/${id}`, { revision, course: noted(kilobytes) });
    expect((await save(2.5 * MB, 1)).status).toBe(200);
    expect((await save(2.9 * MB, 2)).status).toBe(200);
    expect((await make(other)).status).toBe(201);
    // The bin counts until it is emptied.
    await maker.ask('DELETE', `/courses/${id}`);
    expect((await make(maker)).status).toBe(409);
    await maker.ask('DELETE', '/bin');
    expect((await make(maker)).status).toBe(201);
  }));

test('one maker keeps so many courses', () =>
  during({ makerCourses: 2 }, async (somebody) => {
    const maker = somebody();
    const statuses: number[] = [];
    for (let i = 0; i < 3; i++) {
      statuses.push((await maker.ask('POST', '/courses', { course })).status);
    }
    expect(statuses).toEqual([201, 201, 409]);
  }));

test('one address sends so much in a day, whoever it says it is', () =>
  during({ addressMegabytes: 5 }, async (somebody) => {
    const statuses: number[] = [];
    for (let i = 0; i < 3; i++) {
      statuses.push((await somebody().ask('POST', '/courses', { course: noted(2 * MB) })).status);
    }
    expect(statuses).toEqual([201, 201, 429]);
    expect((await somebody().ask('GET', '/demos')).status).toBe(200);
  }));

test('a nearly full disk takes nothing more, and all that is kept can be read and deleted', () =>
  during({}, async (somebody, config) => {
    const maker = somebody();
    const { id } = (await maker.ask('POST', '/courses', { course })).body;
    Object.assign(config, { freeMegabytes: 1e9 });
    // What the disk has free is asked for again after a while.
    await new Promise((resolve) => setTimeout(resolve, 2100));
    const refused = [
      await maker.ask('POST', '/courses', { course }),
      await maker.ask('PUT', `/courses/${id}`, { revision: 1, course: { ...course, name: 'New' } }),
      await maker.ask('POST', '/published/salt-pan-hop/attempts'),
    ];
    expect(refused.map(({ status }) => status)).toEqual([507, 507, 507]);
    expect(refused[0].body.error.message).toContain('Nothing was changed');
    expect((await maker.ask('GET', `/courses/${id}`)).body.revision).toBe(1);
    expect((await maker.ask('DELETE', `/courses/${id}`)).status).toBe(200);
    await expect(new Limits(config).room()).rejects.toThrow(/no room/);
  }));

test('an address is the one a trusted proxy names, and of IPv6 its network', () =>
  during({ makersPerHour: 1, proxies: 1 }, async (somebody, config) => {
    expect(config.proxies).toBe(1);
    const from = (address: string) => {
      const one = somebody();
      one.forwarded = address;
      return one.ask('POST', '/courses', { course });
    };
    const statuses: number[] = [];
    for (const address of ['10.1.1.1', '10.1.1.2', '10.1.1.1', '2001:db8::1', '2001:db8::2']) {
      statuses.push((await from(address)).status);
    }
    expect(statuses).toEqual([201, 201, 429, 201, 429]);
  }));
