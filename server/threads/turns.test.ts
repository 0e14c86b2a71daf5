import { Turns } from './turns';

const LIMITS = { atOnce: 1, waiting: 20, ofAddress: 4, ofMaker: 4, seconds: 10 };

/** Turns with a clock that only goes on by what is worked. */
function queue(change: Partial<typeof LIMITS> = {}) {
  let now = 0;
  const turns = new Turns({ ...LIMITS, ...change }, () => now);
  const done: string[] = [];
  const work = (who: string, ms: number, estimate = ms, maker?: string) =>
    turns
      .take({ address: who.split(' ')[0], maker }, estimate, async () => {
        now += ms;
        done.push(who);
      })
      .catch((error: { status: number; code: string; headers: Record<string, string> }) => {
        done.push(`${who} ${error.status}`);
        return error;
      });
  return { turns, work, done, pass: (ms: number) => (now += ms) };
}

test('the short comes before the long, and who had least done before all others', async () => {
  const { work, done } = queue();
  await Promise.all([
    work('first', 100),
    work('greedy 1', 3000),
    work('greedy 2', 3000),
    work('late', 50),
    work('greedy 3', 3000),
    work('small', 20),
  ]);
  expect(done.slice(0, 3)).toEqual(['first', 'small', 'late']);
  // Who had three seconds worked comes after whoever had none.
  const again = queue();
  await again.work('greedy', 3000);
  await Promise.all([again.work('other', 10), again.work('greedy 1', 10), again.work('new', 1000)]);
  expect(again.done).toEqual(['greedy', 'other', 'new', 'greedy 1']);
});

test('a party has so much waiting and no more, by its address or by its maker; others still come in', async () => {
  const { work, done } = queue();
  await Promise.all([
    ...Array.from({ length: 7 }, (_, i) => work(`one ${i}`, 10)),
    ...Array.from({ length: 6 }, (_, i) => work(`from${i}`, 10, 10, 'maker')),
    work('honest', 10),
  ]);
  expect(done.filter((who) => who.endsWith('429'))).toHaveLength(2 + 2);
  expect(done).toContain('honest');
});

test('many makers behind one address wait together, where one maker may not', async () => {
  const { work, done } = queue({ ofAddress: 12, ofMaker: 2, waiting: 30 });
  await Promise.all([
    ...Array.from({ length: 10 }, (_, i) => work(`class ${i}`, 10, 10, `pupil ${i}`)),
    ...Array.from({ length: 5 }, (_, i) => work(`alone ${i}`, 10, 10, 'alone')),
  ]);
  expect(done.filter((who) => who.startsWith('class'))).toHaveLength(10);
  expect(done.filter((who) => who.endsWith('429'))).toHaveLength(5 - 2);
  expect(done.every((who) => !/class .* 429/.test(who))).toBe(true);
});

test('who had a minute’s share worked hears when to come again, and may when it has leaked away', async () => {
  const { work, done, pass } = queue();
  await work('heavy', 25_000);
  const refused = (await work('heavy', 10)) as { headers: Record<string, string> };
  expect(done).toEqual(['heavy', 'heavy 429']);
  const seconds = Number(refused.headers['Retry-After']);
  expect(seconds).toBeGreaterThan(30);
  pass(1000 * seconds);
  await work('heavy', 10);
  expect(done.at(-1)).toBe('heavy');
  await work('other', 10);
  expect(done.at(-1)).toBe('other');
});

test('when too much waits altogether the next is turned away; who leaves makes room', async () => {
  const { turns, work, done } = queue({ waiting: 2, ofAddress: 2 });
  const left = new AbortController();
  const leaving = turns
    .take({ address: 'leaving' }, 1, () => Promise.resolve(), left.signal)
    .catch(() => done.push('left'));
  const all = [work('a', 10), work('b', 10), work('c', 10)];
  await Promise.all([leaving, ...all]);
  expect(done.filter((who) => who.endsWith('503'))).toEqual(['c 503']);
  const blocked = queue({ waiting: 1 });
  const gone = new AbortController();
  const running = blocked.work('running', 10);
  const waits = blocked.turns
    .take({ address: 'x' }, 1, () => Promise.resolve('done'), gone.signal)
    .catch((error: { status: number }) => error.status);
  gone.abort();
  expect(await waits).toBe(499);
  await running;
  await blocked.work('next', 10);
  expect(blocked.done).toEqual(['running', 'next']);
});

test('work that fails gives its turn to the next', async () => {
  const { turns, work, done } = queue();
  const fails = turns
    .take({ address: 'a' }, 1, () => Promise.reject(new Error('no')))
    .catch(() => 0);
  await Promise.all([fails, work('b', 10)]);
  expect(done).toEqual(['b']);
});

test('where all places are taken, who asks least has the one of who asked most', async () => {
  const { work, done } = queue({ waiting: 6 });
  await Promise.all([
    ...Array.from({ length: 5 }, (_, i) => work(`greedy ${i}`, 500)),
    work('other 1', 100),
    work('other 2', 100),
    work('fresh', 10),
    work('newer', 10),
  ]);
  expect(done.filter((who) => who.endsWith('503'))).toEqual(['greedy 4 503', 'greedy 3 503']);
  expect(done).toEqual(expect.arrayContaining(['fresh', 'newer', 'other 1', 'other 2']));
  // Where none may wait at all there is no place to have.
  const none = queue({ waiting: 0 });
  await Promise.all([none.work('first', 100), none.work('second', 10)]);
  expect(none.done.sort()).toEqual(['first', 'second 503']);
  // Among those who ask alike nobody is sent away for the next.
  const alike = queue({ waiting: 3 });
  await Promise.all(Array.from({ length: 6 }, (_, i) => alike.work(`from${i}`, 100)));
  expect(alike.done.filter((who) => who.endsWith('503'))).toEqual(['from4 503', 'from5 503']);
});
