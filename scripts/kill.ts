// npm run kill: ends the server at any moment while courses, kits, recordings, series, likes and players' runs are
// sent to it, starts it again, and looks whether all it had said it keeps is there, and Explore finds it.
import { toKit } from '@/core/edit';
import { TestServer } from '@/e2e/support/server';
import { HARD, noise, rowOf, walkRight } from './support/built';
import { Somebody } from './support/somebody';

const KILLS = Number(process.argv[2] ?? 200);
const course = rowOf(40);
const kit = toKit(course, new Set(['p1', 'p4']), 'Two slabs');

/** What the server has said that it keeps. */
interface Promised {
  readonly saved: Map<string, { revision: number; name: string }>;
  readonly kits: Map<string, string>;
  readonly recordings: Map<string, Buffer>;
  best: number;
  /** What the series was called last, and what it was being called when the server was ended. */
  series: string;
  /** Whether somebody else likes the course, and what was being said of that last. */
  liked: boolean;
  liking: boolean;
}

/** Sends one thing after the other until the server is gone. */
async function untilGone(act: (i: number) => Promise<void>): Promise<void> {
  for (let i = 0; ; i++) {
    try {
      await act(i);
    } catch {
      return;
    }
  }
}

async function main(): Promise<void> {
  const server = new TestServer();
  await server.start(HARD);
  let maker = new Somebody(server.port);
  const { id } = await maker.json<{ id: string }>('POST', '/courses', { course });
  await maker.json('POST', `/courses/${id}/proof`, { run: walkRight(course, 0, 0) });
  const { slug } = await maker.json<{ slug: string }>('POST', `/courses/${id}/publish`);
  const promised: Promised = {
    saved: new Map([[id, { revision: 1, name: course.name }]]),
    kits: new Map(),
    recordings: new Map(),
    best: Infinity,
    series: 'Kill 0, series 0',
    liked: false,
    liking: false,
  };
  const { id: series } = await maker.json<{ id: string }>('POST', '/series', {
    name: promised.series,
    courses: [slug],
  });
  let other = new Somebody(server.port);
  await other.json('PUT', `/published/${slug}/like`, { liked: false });
  const runs = Array.from({ length: 120 }, (_, i) => walkRight(course, 120 - i, 0));
  let lost = 0;
  let acknowledged = 0;
  for (let kill = 0; kill < KILLS; kill++) {
    const now = maker;
    const saving = untilGone(async (i) => {
      const known = promised.saved.get(id)!;
      const name = `Kill ${kill}, save ${i}`;
      const body = { revision: known.revision, course: { ...course, name } };
      const { revision } = await now.json<{ revision: number }>('PUT', `/courses/${id}`, body);
      promised.saved.set(id, { revision, name });
      acknowledged++;
    });
    const keeping = untilGone(async (i) => {
      const name = `Kit ${kill} ${i}`;
      const made = await now.json<{ id: string }>('POST', '/kits', { kit: { ...kit, name } });
      promised.kits.set(made.id, name);
      acknowledged++;
      // A maker has at most 300: those seen to be kept make room.
      const [oldest] = promised.kits.keys();
      if (promised.kits.size > 100) {
        await now.json('DELETE', `/kits/${oldest}`);
        promised.kits.delete(oldest);
        await now.json('DELETE', '/bin');
      }
    });
    const recording = untilGone(async (i) => {
      const data = noise(kill * 1000 + i);
      const { file } = await now.json<{ file: string }>('POST', '/recordings', data);
      promised.recordings.set(file, data);
      acknowledged++;
      const [oldest] = promised.recordings.keys();
      if (promised.recordings.size > 20) {
        await now.json('DELETE', `/recordings/${oldest}`);
        promised.recordings.delete(oldest);
        await now.json('DELETE', '/bin');
      }
    });
    const running = untilGone(async (i) => {
      const begun = await now.json<{ attempt: string; seed: number }>(
        'POST',
        `/published/${slug}/attempts`,
      );
      const run = { ...runs[(kill + i) % runs.length], seed: begun.seed };
      const { time } = await now.json<{ time: number }>('POST', `/published/${slug}/runs`, {
        run,
        attempt: begun.attempt,
      });
      promised.best = Math.min(promised.best, time);
      acknowledged++;
    });
    const naming = untilGone(async (i) => {
      const name = `Kill ${kill}, series ${i}`;
      await now.json('PUT', `/series/${series}`, { name, courses: [slug] });
      promised.series = name;
      acknowledged++;
    });
    const fan = other;
    const liking = untilGone(async () => {
      promised.liking = !promised.liked;
      await fan.json('PUT', `/published/${slug}/like`, { liked: promised.liking });
      promised.liked = promised.liking;
      acknowledged++;
    });
    await new Promise((resolve) => setTimeout(resolve, 40 + Math.random() * 700));
    await server.kill();
    await Promise.all([saving, keeping, recording, running, naming, liking]);
    now.close();
    fan.close();
    await server.start(HARD);
    maker = now.before(server.port);
    other = fan.before(server.port);
    lost += await lacking(maker, promised, id, slug);
    lost += await lackingOutside(other, promised, { series, slug });
    if ((kill + 1) % 20 === 0) console.log(`${kill + 1} kills, ${acknowledged} kept, ${lost} lost`);
  }
  await server.remove();
  console.log(`${KILLS} kills, ${acknowledged} acknowledged, ${lost} lost`);
  process.exit(lost > 0 ? 1 : 0);
}

/** How much of what was promised is not there. Learns what was kept without a word. */
async function lacking(
  maker: Somebody,
  promised: Promised,
  id: string,
  slug: string,
): Promise<number> {
  let lost = 0;
  const there = await maker.json<{ revision: number; course: { name: string } }>(
    'GET',
    `/courses/${id}`,
  );
  const known = promised.saved.get(id)!;
  if (there.revision < known.revision) lost++;
  if (there.revision === known.revision && there.course.name !== known.name) lost++;
  const version = await maker.json<{ course: { name: string } }>(
    'GET',
    `/courses/${id}/versions/${known.revision}`,
  );
  if (version.course.name !== known.name) lost++;
  promised.saved.set(id, { revision: there.revision, name: there.course.name });
  const { kits } = await maker.json<{ kits: { id: string; name: string }[] }>('GET', '/kits');
  const byId = new Map(kits.map((one) => [one.id, one.name]));
  for (const [key, name] of promised.kits) {
    // One that was being deleted may be gone.
    if (byId.get(key) !== name && key !== promised.kits.keys().next().value) lost++;
  }
  promised.kits.clear();
  for (const one of kits) promised.kits.set(one.id, one.name);
  for (const [file, data] of [...promised.recordings].slice(1)) {
    const { status, data: back } = await maker.ask('GET', `/recordings/${file}`);
    if (status !== 200 || !back.equals(data)) lost++;
  }
  const { best } = await maker.json<{ best: { time: number; own: boolean }[] }>(
    'GET',
    `/published/${slug}`,
  );
  const own = best.find((one) => one.own)?.time ?? Infinity;
  if (own > promised.best) lost++;
  return lost;
}

/** How much is not there of what everybody sees. Learns what was kept without a word. */
async function lackingOutside(
  other: Somebody,
  promised: Promised,
  { series, slug }: { readonly series: string; readonly slug: string },
): Promise<number> {
  let lost = 0;
  const { name, courses } = await other.json<{ name: string; courses: { slug: string }[] }>(
    'GET',
    `/series/${series}`,
  );
  // One name further may have been kept without a word.
  const [, kill, i] = /^Kill (\d+), series (\d+)$/.exec(promised.series)!;
  const further = new RegExp(`^Kill (${kill}, series ${Number(i) + 1}|\\d+, series 0)$`);
  if (name !== promised.series && !further.test(name)) lost++;
  if (courses.length !== 1 || courses[0].slug !== slug) lost++;
  promised.series = name;
  const { liked, likes } = await other.json<{ liked: boolean; likes: number }>(
    'GET',
    `/published/${slug}`,
  );
  if (liked !== promised.liked && liked !== promised.liking) lost++;
  // What is counted is what there is, also where the server was ended between the two.
  if (likes !== (liked ? 1 : 0)) lost++;
  promised.liked = liked;
  promised.liking = liked;
  const found = await other.json<{ courses: { slug: string; likes: number }[] }>(
    'GET',
    '/explore?order=liked',
  );
  if (!found.courses.some((one) => one.slug === slug && one.likes === likes)) lost++;
  return lost;
}

void main();
