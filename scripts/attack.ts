// npm run attack: thirty addresses do their worst to a server of its own, with its usual limits, while one maker saves
// and one player sends runs as people do. Tells what each attack came to and how long the honest waited meanwhile.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { gzipSync } from 'node:zlib';
import { emptyCourse, type Course } from '@/core/course';
import { layPieces } from '@/core/edit';
import { CORE_VERSION, type Run } from '@/core/run';
import { TestServer } from '@/e2e/support/server';
import { rowOf, walkRight } from './support/built';
import { Somebody, type Answered } from './support/somebody';

const SECONDS = Number(process.argv[2] ?? 20);
const ADDRESSES = 30;
/** Times the honest may wait at most, ms. */
const MOST = { save: 3000, run: 3000, 'sign in': 3000, read: 500 } as const;
type Doing = keyof typeof MOST;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const at = (list: number[], part: number) =>
  list[Math.min(list.length - 1, Math.floor(list.length * part))] ?? 0;

/** Replays of runs that last long are to be had by whoever waits first, so nobody waits for that here. */
const SETTINGS = {
  STONEHOP_PROXIES: '1',
  STONEHOP_REAL_TIME: '0',
  STONEHOP_READS: '12000',
  STONEHOP_WRITES: '3600',
  STONEHOP_MAKERS: '600',
};

let port = 0;
const from = (i: number, packing = ''): Somebody => {
  const one = new Somebody(port);
  one.address = `10.${i >> 8}.${i & 255}.7`;
  one.packing = packing;
  return one;
};

/** A course with its honest run of a minute. */
const minute = (): { course: Course; run: (seed: number) => Run } => {
  const course = rowOf(40, 'A minute');
  const rest = 120 * 58;
  // Made once: whoever measures has nothing else to do meanwhile. It stands for most of it.
  const run = walkRight(course, 0, 0);
  const long: Run = {
    ...{ ...run, inputs: [[rest, 0, 0, 0], ...run.inputs] },
    claim: run.claim + rest / 120,
  };
  return { course, run: (seed) => ({ ...long, seed }) };
};

/** As many unlike outlines as make a course slow to take in. */
const unlike = (name: string): Course =>
  layPieces(
    emptyCourse(name, 'free'),
    Array.from({ length: 400 }, (_, i) => ({
      family: 'platform',
      at: [6 * (i % 20), 0, 6 * Math.floor(i / 20)] as [number, number, number],
      outline: {
        points: Array.from({ length: 24 }, (_, k) => {
          const angle = (2 * Math.PI * k) / 24;
          const r = 2 + Math.sin(k * (1 + (i % 7)) + i) * 0.5;
          return { at: [r * Math.cos(angle), r * Math.sin(angle)] };
        }),
      },
    })) as never[],
  );

const longRun = (course: string): Run => ({
  ...{ format: 'stone-hop-run', core: CORE_VERSION, course, seed: 0, claim: 100 },
  inputs: Array.from({ length: 1800 }, (_, i) => [119, i % 3, 0, 0]),
});

type Attack = (i: number, until: number) => Promise<void>;

const statuses = new Map<string, Map<number, number>>();
const noted = (what: string, { status }: Answered): Answered => {
  const all = statuses.get(what) ?? new Map<number, number>();
  statuses.set(what, all.set(status, (all.get(status) ?? 0) + 1));
  return { status, ms: 0, data: Buffer.alloc(0) };
};

/** Asks for something from several at one address, one after the other each, until the end. */
const byMany =
  (what: string, act: (one: Somebody, n: number) => Promise<Answered>): Attack =>
  async (i, until) => {
    const several = Array.from({ length: 3 }, async () => {
      for (let n = 0; performance.now() < until; n++) {
        const one = from(i);
        const { status } = noted(what, await act(one, n));
        one.close();
        if (status === 429 || status === 503) await pause(300);
      }
    });
    await Promise.all(several);
  };

const wrongRun = gzipSync(
  JSON.stringify({ attempt: 'a', run: { inputs: Array.from({ length: 440_000 }, () => ['x']) } }),
);
const nested = `{"kit":${'['.repeat(50_000)}${']'.repeat(50_000)}}`;

const ATTACKS: Record<string, Attack> = {
  'runs of 440,000 wrong stretches, packed': async (i, until) => {
    while (performance.now() < until) {
      const one = from(i, 'gzip');
      const path = '/published/low-tide-steps/runs';
      noted('wrong runs', await one.send('POST', path, wrongRun, 'application/json'));
      one.close();
    }
  },
  'junk of 8 MB to sign in with, slugs by the thousand, nests': byMany('junk', (one, n) => {
    if (n % 3 === 0) return one.ask('POST', '/session', 'x'.repeat(8e6)).catch(gone);
    if (n % 3 === 1) {
      const courses = Array.from({ length: 100_000 }, (_, k) => `slug-${k}`);
      return one.ask('POST', '/series', { name: 'Very many', courses }).catch(gone);
    }
    return one.ask('POST', '/kits', nested).catch(gone);
  }),
  'replays of half an hour each': async (i, until) => {
    const act = async () => {
      const one = from(i);
      while (performance.now() < until) {
        const path = '/published/kiln-yard';
        const begun = await one.ask('POST', `${path}/attempts`);
        if (begun.status === 201) {
          const { attempt, hash, seed } = JSON.parse(String(begun.data)) as {
            attempt: string;
            hash: string;
            seed: number;
          };
          const run = { ...longRun(hash), seed };
          const sent = noted('replays', await one.ask('POST', `${path}/runs`, { run, attempt }));
          if (sent.status === 429 || sent.status === 503) await pause(300);
        } else await pause(300);
      }
      one.close();
    };
    await Promise.all([act(), act()]);
  },
  'saves of 400 unlike outlines': byMany('saves', (one, n) =>
    one.ask('POST', '/courses', { course: unlike(`Heavy ${n}`) }),
  ),
  'tries to sign in under made-up names': byMany('signing in', (one, n) =>
    one.ask('POST', '/session', {
      name: `Nobody ${n} ${Math.floor(Math.random() * 1e6)}`,
      passphrase: 'wrong and long enough',
    }),
  ),
};

/** A server that hangs up on what is far too long has answered. */
const gone = (): Answered => ({ status: 413, ms: 0, data: Buffer.alloc(0) });

type Times = Record<Doing, number[]>;

/** An honest maker and an honest player, made ready before anybody does anything. */
async function honest() {
  const { course, run } = minute();
  const maker = from(900);
  const player = from(901);
  const { id } = await maker.json<{ id: string }>('POST', '/courses', { course });
  await maker.json('POST', `/courses/${id}/proof`, { run: walkRight(course, 0, 0) });
  const { slug } = await maker.json<{ slug: string }>('POST', `/courses/${id}/publish`);
  const name = `Honest ${Date.now() % 1e6}`;
  const passphrase = 'kelp lantern ferry slate';
  await maker.json('PUT', '/me', { name, passphrase });
  const known = from(902);
  await known.json('POST', '/session', { name, passphrase });
  const wrong: string[] = [];
  const times: Times = { save: [], run: [], 'sign in': [], read: [] };
  const note = (what: Doing, { status, ms, data }: Answered): void => {
    times[what].push(ms);
    if (status >= 400) wrong.push(`${what}: ${status} ${String(data).slice(0, 120)}`);
  };
  let revision = 1;
  const every = async (ms: number, until: number, act: () => Promise<void>) => {
    while (performance.now() < until) {
      await act();
      await pause(ms);
    }
  };
  /** Goes about what they do until the end. */
  const goOn = async (until: number) => {
    await Promise.all([
      every(700, until, async () => {
        const body = { revision, course: { ...course, name: `Minute ${revision}` } };
        note('save', await maker.ask('PUT', `/courses/${id}`, body));
        revision++;
      }),
      every(1500, until, async () => {
        const begun = await player.ask('POST', `/published/${slug}/attempts`);
        if (begun.status >= 400) return note('run', begun);
        const { attempt, seed } = JSON.parse(String(begun.data)) as {
          attempt: string;
          seed: number;
        };
        const sent = { run: run(seed), attempt, player: 'Wren' };
        note('run', await player.ask('POST', `/published/${slug}/runs`, sent));
      }),
      every(7000, until, async () => {
        // On the device they signed in on before.
        note('sign in', await known.ask('POST', '/session', { name, passphrase }));
      }),
      every(200, until, async () => {
        const one = from(903);
        note('read', await one.ask('GET', '/explore'));
        one.close();
      }),
    ]);
  };
  return { goOn, times, wrong };
}

/** One attack, from a process of its own: what it costs to attack is not what it costs to be served. */
async function attack(name: string, seconds: number): Promise<void> {
  const until = performance.now() + 1000 * seconds;
  console.log('  begun');
  await Promise.all(
    Array.from({ length: ADDRESSES }, (_, i) => ATTACKS[name](i, until).catch(() => {})),
  );
  for (const [what, all] of statuses) console.log(`  ${what}: ${JSON.stringify([...all])}`);
}

/** Begins an attack in a process of its own. Returns how it is ended, and what it told by then. */
async function begin(name: string): Promise<() => Promise<string>> {
  // Whoever attacks has a machine of their own: here they stand behind the server.
  const args = ['-n', '15', 'npx', 'tsx', __filename, String(SECONDS), String(port), name];
  const child = spawn('nice', args, { stdio: ['ignore', 'pipe', 'inherit'], detached: true });
  const ended = once(child, 'exit');
  let told = '';
  child.stdout.on('data', (data: Buffer) => (told += String(data)));
  // To begin takes the processor too.
  await once(child.stdout, 'data');
  return async () => {
    const patience = setTimeout(() => process.kill(-child.pid!, 'SIGKILL'), 8000);
    await ended;
    clearTimeout(patience);
    return told;
  };
}

function report(name: string, times: Times, wrong: readonly string[]): number {
  let failed = wrong.length > 0 ? 1 : 0;
  console.log(`\n${name}, from ${ADDRESSES} addresses for ${SECONDS} s`);
  for (const what of Object.keys(MOST) as Doing[]) {
    const all = times[what].sort((a, b) => a - b);
    const worst = all.at(-1) ?? Infinity;
    const most = what === 'read' ? at(all, 0.99) : worst;
    const isLong = most > MOST[what];
    if (isLong) failed++;
    const figures = `median ${at(all, 0.5).toFixed(0)} ms, 99 % ${at(all, 0.99).toFixed(0)}, worst ${worst.toFixed(0)}`;
    console.log(
      `  ${what}: ${all.length}, ${figures} (at most ${MOST[what]})${isLong ? '  TOO LONG' : ''}`,
    );
  }
  console.log(
    `  refused to the honest: ${wrong.length} ${[...new Set(wrong)].slice(0, 3).join('; ')}`,
  );
  return failed;
}

async function main(): Promise<void> {
  let failed = 0;
  for (const name of Object.keys(ATTACKS)) {
    const server = new TestServer();
    await server.start(SETTINGS);
    port = server.port;
    const { goOn, times, wrong } = await honest();
    const end = await begin(name);
    await goOn(performance.now() + SECONDS * 1000);
    const told = await end();
    failed += report(name, times, wrong);
    process.stdout.write(told);
    await server.remove();
  }
  console.log(failed === 0 ? '\nAll of it held.' : `\n${failed} did not hold.`);
  process.exit(failed === 0 ? 0 : 1);
}

const [, , , attacked, named] = process.argv;
if (named) {
  port = Number(attacked);
  void attack(named, SECONDS).then(() => process.exit(0));
} else void main();
