import fc from 'fast-check';
import { emptyCourse, type Course } from '@/core/course';
import { SaveQueue, type SaveAnswer } from './saveQueue';

// The queue against a model of the server, a clock and a maker, all moved by hand.

const named = (name: string): Course => emptyCourse(name);

class Bench {
  /** What the server has: the last is the newest. */
  readonly revisions: { course: Course; by: 'here' | 'elsewhere' }[] = [
    { course: named('First'), by: 'here' },
  ];
  readonly flying: { revision: number; course: Course; answer: (a: SaveAnswer) => void }[] = [];
  private timers: { at: number; act: () => void }[] = [];
  private now = 0;
  mostAtOnce = 0;
  /** What the maker did last. */
  newest = this.revisions[0].course;
  readonly queue = new SaveQueue(1, {
    send: (revision, course) =>
      new Promise((answer) => {
        this.flying.push({ revision, course, answer });
        this.mostAtOnce = Math.max(this.mostAtOnce, this.flying.length);
      }),
    later: (ms, act) => {
      const timer = { at: this.now + ms, act };
      this.timers.push(timer);
      return () => void (this.timers = this.timers.filter((one) => one !== timer));
    },
    told: () => {},
  });

  edit(name: string): void {
    this.newest = named(name);
    this.queue.edit(this.newest);
  }

  pass(ms: number): void {
    this.now += ms;
    const due = this.timers.filter(({ at }) => at <= this.now);
    this.timers = this.timers.filter(({ at }) => at > this.now);
    due.forEach(({ act }) => act());
  }

  /** What the server makes of the request on its way; kept, refused, or known already. */
  private take({ revision, course }: { revision: number; course: Course }): SaveAnswer {
    const there = this.revisions.length;
    if (revision === there) {
      this.revisions.push({ course, by: 'here' });
      return { kind: 'saved', revision: there + 1, changed: this.now };
    }
    const last = this.revisions[there - 1];
    if (revision === there - 1 && last.course.name === course.name) {
      return { kind: 'saved', revision: there, changed: this.now };
    }
    return { kind: 'conflict', theirs: { revision: there, course: last.course } };
  }

  /** The request arrives, or not; its answer arrives, or not. */
  async answer(arrives: boolean, returns: boolean): Promise<void> {
    const request = this.flying.shift();
    if (!request) return;
    const answer: SaveAnswer = arrives ? this.take(request) : { kind: 'unsure' };
    request.answer(arrives && returns ? answer : { kind: 'unsure' });
    await new Promise(setImmediate);
  }

  elsewhere(name: string): void {
    this.revisions.push({ course: named(name), by: 'elsewhere' });
  }

  /** Lets everything come to an end, with a server that answers. */
  async settle(): Promise<void> {
    for (let i = 0; i < 20; i++) {
      this.pass(5000);
      await this.answer(true, true);
      if (this.queue.state.kind === 'conflict') this.queue.keepMine(this.newest);
    }
  }
}

const step = fc.oneof(
  { weight: 4, arbitrary: fc.constant({ kind: 'edit' as const }) },
  {
    weight: 5,
    arbitrary: fc.record({
      kind: fc.constant('answer' as const),
      arrives: fc.boolean(),
      returns: fc.boolean(),
    }),
  },
  { weight: 4, arbitrary: fc.record({ kind: fc.constant('pass' as const), ms: fc.nat(4000) }) },
  { weight: 1, arbitrary: fc.constant({ kind: 'elsewhere' as const }) },
  { weight: 1, arbitrary: fc.constant({ kind: 'keep mine' as const }) },
  { weight: 1, arbitrary: fc.constant({ kind: 'leave' as const }) },
);

/** Does random steps; returns the bench and whether anybody else saved. */
async function play(steps: readonly (typeof step extends fc.Arbitrary<infer T> ? T : never)[]) {
  const bench = new Bench();
  let others = 0;
  for (const [i, one] of steps.entries()) {
    if (one.kind === 'edit') bench.edit(`Edit ${i}`);
    else if (one.kind === 'answer') await bench.answer(one.arrives, one.returns);
    else if (one.kind === 'pass') bench.pass(one.ms);
    else if (one.kind === 'leave') bench.queue.flush();
    else if (one.kind === 'keep mine') bench.queue.keepMine(bench.newest);
    else {
      bench.elsewhere(`Other ${i}`);
      others++;
    }
    if (others === 0) expect(bench.queue.state.kind).not.toBe('conflict');
  }
  return { bench, others };
}

test('whatever happens, one request at a time, no false conflict, and the newest edit arrives', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(step, { maxLength: 60 }), async (steps) => {
      const { bench, others } = await play(steps);
      await bench.settle();
      expect(bench.mostAtOnce).toBeLessThanOrEqual(1);
      expect(bench.queue.state.kind).toBe('saved');
      expect(bench.queue.idle).toBe(true);
      const last = bench.revisions[bench.revisions.length - 1];
      // Unless somebody else came after the last word, what is there is what is here.
      if (others === 0 || last.by === 'here') expect(last.course.name).toBe(bench.newest.name);
      // Nothing of anybody else's was written over unseen: all of it is still a revision.
      expect(bench.revisions.filter(({ by }) => by === 'elsewhere')).toHaveLength(others);
    }),
    { numRuns: 500 },
  );
});

test('an edit while a save takes long does not send a second one of the same revision', async () => {
  const bench = new Bench();
  bench.edit('One');
  bench.pass(700);
  bench.edit('Two');
  bench.pass(5000);
  expect(bench.flying).toHaveLength(1);
  await bench.answer(true, true);
  bench.pass(700);
  expect(bench.flying).toMatchObject([{ revision: 2, course: { name: 'Two' } }]);
});

test('a save that may have arrived is sent again as it was, before anything newer', async () => {
  const bench = new Bench();
  bench.edit('One');
  bench.pass(700);
  await bench.answer(true, false);
  expect(bench.queue.state.kind).toBe('offline');
  bench.edit('Two');
  bench.pass(2500);
  expect(bench.flying).toMatchObject([{ revision: 1, course: { name: 'One' } }]);
  await bench.settle();
  expect(bench.revisions.map(({ course }) => course.name)).toEqual(['First', 'One', 'Two']);
});

test('a conflict waits for the maker, and closing it changes nothing', async () => {
  const bench = new Bench();
  bench.elsewhere('Theirs');
  bench.edit('Mine');
  bench.pass(700);
  await bench.answer(true, true);
  expect(bench.queue.state).toMatchObject({ kind: 'conflict', theirs: { revision: 2 } });
  bench.edit('Mine still');
  bench.queue.flush();
  bench.pass(60_000);
  expect(bench.flying).toHaveLength(0);
  expect(bench.queue.state.kind).toBe('conflict');
  bench.queue.keepMine(bench.newest);
  expect(bench.flying).toMatchObject([{ revision: 2, course: { name: 'Mine still' } }]);
});

test('what is refused is told, and the next edit is tried', async () => {
  const bench = new Bench();
  bench.edit('Too large');
  bench.pass(700);
  bench.flying.shift()!.answer({ kind: 'refused', message: 'Too large.' });
  await new Promise(setImmediate);
  expect(bench.queue.state).toEqual({ kind: 'refused', message: 'Too large.' });
  bench.pass(60_000);
  expect(bench.flying).toHaveLength(0);
  bench.edit('Smaller');
  bench.pass(700);
  expect(bench.flying).toMatchObject([{ revision: 1, course: { name: 'Smaller' } }]);
});

test('whoever waits for rest waits for what is on its way, and no longer', async () => {
  const bench = new Bench();
  await bench.queue.atRest();
  bench.edit('One');
  await bench.queue.atRest();
  bench.pass(700);
  let rested = false;
  void bench.queue.atRest().then(() => (rested = true));
  await new Promise(setImmediate);
  expect(rested).toBe(false);
  await bench.answer(false, false);
  expect(rested).toBe(true);
});
