import { Admission } from './admission';

/** Requests that note in which order they are let in. */
function gate() {
  const order: string[] = [];
  let now = 0;
  const admission = new Admission(() => now);
  return {
    order,
    ask: (address: string, times = 1) => {
      const come = Array.from({ length: times }, () =>
        admission.enter(address, () => void order.push(address)),
      );
      return come.every(Boolean);
    },
    pass: (ms: number) => (now += ms),
    /** Lets turns of the event loop go by. */
    turns: async (count: number) => {
      for (let i = 0; i < count; i++) await new Promise((resolve) => setImmediate(resolve));
    },
  };
}

test('a request is let in at the next turn of the event loop', async () => {
  const { ask, order, turns } = gate();
  ask('a');
  expect(order).toEqual([]);
  await turns(1);
  expect(order).toEqual(['a']);
});

test('who asks for one thing does not wait for who asks for hundreds', async () => {
  const { ask, order, turns } = gate();
  ask('greedy', 300);
  await turns(3);
  ask('honest');
  await turns(2);
  expect(order.indexOf('honest')).toBeLessThan(6);
  await turns(400);
  expect(order).toHaveLength(301);
});

test('of addresses that ask for as much each has its turn', async () => {
  const { ask, order, turns } = gate();
  for (const address of ['a', 'b', 'c', 'd']) ask(address, 40);
  await turns(40);
  for (const address of ['a', 'b', 'c', 'd']) {
    expect(order.filter((one) => one === address)).toHaveLength(10);
  }
});

test('what was asked for some time ago is forgotten', async () => {
  const { ask, order, pass, turns } = gate();
  ask('early', 100);
  await turns(120);
  pass(60_000);
  ask('late', 4);
  await turns(8);
  ask('late', 40);
  ask('early', 4);
  await turns(4);
  expect(order.slice(104, 108)).toEqual(['early', 'early', 'early', 'early']);
});

test('where thousands wait no more are taken', async () => {
  const { ask, order, turns } = gate();
  expect(ask('a', 5000)).toBe(true);
  expect(ask('b')).toBe(false);
  await turns(5100);
  expect(order).toHaveLength(5000);
  expect(ask('b')).toBe(true);
  await turns(1);
});
