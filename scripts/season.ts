// npm run season [folder] [courses] [runs]: an evening's worth of makers and players on a server of its own, whose
// database is in the folder ("season" where none is told). Every course is proved and every run played: nothing is made
// up but names. STONEHOP_DATA=season ./stonehop start shows it.
import path from 'node:path';
import { seeded } from '@/core/geometry';
import { TestServer } from '@/e2e/support/server';
import { HARD } from './support/built';
import { hopCourse, hopRun } from './support/hops';
import { Somebody } from './support/somebody';

const [MAKERS, PLAYERS] = [40, 120];

const random = seeded(7);
const below = (n: number) => Math.floor(random() * n);
const anyOf = <T>(list: readonly T[]): T => list[below(list.length)];

const FIRST = [
  'Gull',
  'Weir',
  'Kelp',
  'Eel',
  'Quay',
  'Lamp',
  'Net',
  'Tern',
  'Slip',
  'Buoy',
  'Reef',
  'Wrack',
];
const SECOND = ['Hop', 'Ledges', 'Run', 'Stair', 'Crossing', 'Steps', 'Leap', 'Row', 'Walk', 'Gap'];
const SYLLABLES = [
  'Mor',
  'Sel',
  'Bri',
  'Tam',
  'Osk',
  'Fen',
  'Wil',
  'Cor',
  'Hal',
  'Ide',
  'Rud',
  'Vey',
];
const ENDS = ['na', 'wen', 'rick', 'is', 'mund', 'ola', 'ric', 'ette', 'an', 'ia'];

/** Somebody with a name of their own. */
async function named(port: number, i: number): Promise<Somebody> {
  const one = new Somebody(port);
  const name = `${SYLLABLES[i % 12]}${ENDS[Math.floor(i / 12) % 10]}${i >= 120 ? ' Elder' : ''}`;
  await one.json('PUT', '/me', { name, passphrase: 'salt on the slipway' });
  return one;
}

interface Out {
  readonly slug: string;
  readonly course: ReturnType<typeof hopCourse>;
}

/** Lays, proves and publishes a course; null where its driver cannot get through. */
async function publish(maker: Somebody, i: number): Promise<Out | null> {
  const name = `${anyOf(FIRST)} ${anyOf(SECOND)}${i >= 120 ? ` ${i}` : ''}`;
  const course = hopCourse(name, random);
  const run = hopRun(course, random, { steadiness: 1 });
  if (!run.finished) return null;
  const { id } = await maker.json<{ id: string }>('POST', '/courses', { course });
  await maker.json('POST', `/courses/${id}/proof`, { run: run.run });
  const { slug } = await maker.json<{ slug: string }>('POST', `/courses/${id}/publish`);
  return { slug, course };
}

/** A try at a course, sent in where it came to the goal. */
async function play(player: Somebody, { slug, course }: Out): Promise<boolean> {
  const at = `/published/${slug}`;
  const { attempt, seed } = await player.json<{ attempt: string; seed: number }>(
    'POST',
    `${at}/attempts`,
  );
  await player.json('PUT', `${at}/attempts/${attempt}`);
  const tried = hopRun(course, random, { steadiness: 0.3 + 0.7 * random(), seed });
  if (tried.finished) await player.json('POST', `${at}/runs`, { run: tried.run, attempt });
  if (random() < 0.15) await player.ask('PUT', `${at}/like`, { liked: true });
  return tried.finished;
}

async function main(): Promise<void> {
  const [folder = 'season', courses = '300', runs = '5000'] = process.argv.slice(2);
  const server = new TestServer(path.resolve(folder));
  await server.start(HARD);
  const all = (count: number, from: number) =>
    Promise.all(Array.from({ length: count }, (_, i) => named(server.port, from + i)));
  const makers = await all(MAKERS, 0);
  const players = await all(PLAYERS, MAKERS);
  const out: Out[] = [];
  while (out.length < Number(courses)) {
    const made = await publish(anyOf(makers), out.length);
    if (made) out.push(made);
    if (made && out.length % 50 === 0) console.log(`${out.length} courses are published.`);
  }
  for (const [i, maker] of makers.entries()) {
    if (i % 4 !== 0) continue;
    const slugs = new Set(Array.from({ length: 5 }, () => anyOf(out).slug));
    await maker.json('POST', '/series', {
      ...{ name: `${anyOf(FIRST)} Evening`, sitting: i % 8 === 0 },
      courses: [...slugs],
    });
  }
  let finished = 0;
  for (let i = 0; i < Number(runs); i++) {
    // Some courses are run far more than others.
    const course = out[Math.floor(out.length * random() ** 2)];
    if (await play(anyOf(players), course)) finished++;
    if ((i + 1) % 500 === 0) console.log(`${i + 1} tries, ${finished} of them at the goal.`);
  }
  for (const one of [...makers, ...players]) one.close();
  await server.kill();
  console.log(`${runs} tries, ${finished} of them at the goal. It stands in ${folder}.`);
  process.exit(0);
}

void main();
