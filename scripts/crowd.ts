// npm run crowd [courses]: how long Explore takes to answer among 20,000 published courses. The demo courses are listed
// again and again under made-up names: what is found by stands apart from documents, and nothing else is asked for.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import Database from 'better-sqlite3';
import { seeded } from '@/core/geometry';
import { TestServer } from '@/e2e/support/server';
import { HARD } from './support/built';
import { Somebody } from './support/somebody';

const COURSES = Number(process.argv[2] ?? 20_000);
const [TIMES, PAGES] = [15, 4];

const QUESTIONS = [
  ...['new', 'liked', 'run', 'close'].map((order) => `order=${order}`),
  ...['words=gull', 'words=gu', 'words=wrack%20hop', 'words=nowhere', 'words=h&order=liked'],
  ...['kind=laps', 'runner=cart&order=liked', 'length=long', 'length=long&order=close&words=gull'],
  ...['difficulty=hard', 'difficulty=hard&runner=flick&order=run', 'unfinished=yes', 'week=yes'],
  ...['runner=flick&kind=laps', 'runner=flick&kind=laps&order=liked&length=long'],
  ...['maker=Isla', 'followed=yes', 'words=reef&unfinished=yes&order=close&difficulty=hard'],
];

/** Lists the courses that are there again, until there are so many; whoever came last has finished most of them. */
function crowd(file: string): void {
  const db = new Database(file);
  const random = seeded(11);
  const anyOf = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)];
  const there = db.prepare('select slug from listings').pluck().all() as string[];
  const columns = (table: string) =>
    (db.pragma(`table_info(${table})`) as { name: string }[]).map(({ name }) => name);
  const copy = (table: string, changes: Readonly<Record<string, string>>, where: string) => {
    const all = columns(table).filter((name) => name !== 'id' || table === 'courses');
    const values = all.map((name) => changes[name] ?? name);
    return db.prepare(
      `insert into ${table} (${all.join(', ')}) select ${values.join(', ')} from ${table} where ${where}`,
    );
  };
  const of = '(select course from published where slug = @slug)';
  const courses = copy('courses', { id: '@course' }, `id = ${of}`);
  const published = copy('published', { slug: '@as', course: '@course' }, 'slug = @slug');
  const told = ['name', 'published', 'length', 'likes', 'tries', 'closeness', 'difficulty'];
  const changes = Object.fromEntries(told.map((name) => [name, `@${name}`]));
  const listings = copy('listings', { slug: '@as', course: '@course', ...changes }, 'slug = @slug');
  const first = ['Gull', 'Weir', 'Kelp', 'Eel', 'Quay', 'Lamp', 'Net', 'Tern', 'Reef', 'Wrack'];
  const second = ['Hop', 'Ledges', 'Run', 'Stair', 'Crossing', 'Steps', 'Leap', 'Row', 'Gap'];
  db.transaction(() => {
    for (let i = there.length; i < COURSES; i++) {
      const as = `crowd-${i}`;
      const row = { slug: anyOf(there), as, course: as };
      courses.run(row);
      published.run(row);
      listings.run({
        ...row,
        name: `${anyOf(first)} ${anyOf(second)} ${i}`,
        published: Date.now() - Math.floor(random() * 300 * 86_400_000),
        length: 10 + random() * 300,
        likes: Math.floor(random() * 40),
        tries: Math.floor(random() * 900),
        closeness: random() < 0.5 ? random() : null,
        difficulty: random() < 0.7 ? 1 + 9 * random() : null,
      });
    }
    db.exec(
      'insert into runs (slug, hash, maker, player, player_key, time, run, made) ' +
        "select slug, hash, (select id from makers order by rowid desc limit 1), 'Wren', 'wren', 9, '{}', 0 " +
        'from listings where id % 50 > 0',
    );
  })();
  db.close();
}

async function main(): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'stonehop-crowd-'));
  const server = new TestServer(folder);
  await server.start(HARD);
  const one = new Somebody(server.port);
  await one.json('PUT', '/makers/Isla/follow', { followed: true });
  await server.kill();
  crowd(path.join(folder, 'stonehop.sqlite'));
  await server.start(HARD);
  let worst = 0;
  let wrong = 0;
  for (const question of QUESTIONS) {
    const times: number[] = [];
    let found = 0;
    for (let i = 0; i < TIMES; i++) {
      let next: string | null = null;
      for (let page = 0; page < PAGES; page++) {
        const after: string = next ? `&after=${encodeURIComponent(next)}` : '';
        const { status, ms, data } = await one.ask('GET', `/explore?${question}${after}`);
        if (status !== 200) wrong++;
        // The first time a question is asked everything is read from the disk.
        if (i > 0) times.push(ms);
        const answer = JSON.parse(String(data)) as { courses?: unknown[]; next?: string | null };
        if (i === 0) found += answer.courses?.length ?? 0;
        next = answer.next ?? null;
        if (!next) break;
      }
    }
    times.sort((a, b) => a - b);
    const most = times[times.length - 1];
    worst = Math.max(worst, most);
    const median = times[Math.floor(times.length / 2)];
    const told = `${median.toFixed(1)} ms, at most ${most.toFixed(1)}; ${found} on its first pages`;
    console.log(`${question.padEnd(58)} ${told}`);
  }
  console.log(`Among ${COURSES} courses at most ${worst.toFixed(0)} ms (at most 50).`);
  one.close();
  await server.kill();
  rmSync(folder, { recursive: true, force: true });
  process.exit(wrong > 0 ? 1 : 0);
}

void main();
