import { Somebody, testServer } from './testing/client';
import { silence } from './testing/sounds';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer({ makerMegabytes: 20 });
});
afterAll(() => server.remove());
const somebody = () => new Somebody(server.running.port);
const fetched = (file: string, range?: string) =>
  fetch(`http://127.0.0.1:${server.running.port}/api/recordings/${file}`, {
    headers: range ? { Range: range } : {},
  });

test('a recording is kept by what it holds and comes back as it was', async () => {
  const maker = somebody();
  const kept = await maker.send('/recordings', silence());
  expect(kept.status).toBe(201);
  const { file } = kept.body as { file: string };
  expect(file).toMatch(/^[0-9a-f]{64}\.wav$/);
  expect((await maker.send('/recordings', silence())).body.file).toBe(file);
  expect((await maker.ask('GET', '/recordings')).body.recordings).toHaveLength(1);
  const back = await fetched(file);
  expect(back.headers.get('content-type')).toBe('audio/wav');
  expect(Buffer.from(await back.arrayBuffer()).equals(silence())).toBe(true);
});

test('a part of a recording is sent where a part is asked for', async () => {
  const { file } = (await somebody().send('/recordings', silence())).body;
  const whole = silence();
  for (const [range, from, to] of [
    ['bytes=0-99', 0, 99],
    ['bytes=40-', 40, whole.length - 1],
    ['bytes=-4', whole.length - 4, whole.length - 1],
  ] as const) {
    const part = await fetched(file, range);
    expect(part.status).toBe(206);
    expect(part.headers.get('content-range')).toBe(`bytes ${from}-${to}/${whole.length}`);
    expect(Buffer.from(await part.arrayBuffer()).equals(whole.subarray(from, to + 1))).toBe(true);
  }
  expect((await fetched(file, 'bytes=999999-')).status).toBe(416);
  expect((await fetched(file, 'nonsense')).status).toBe(200);
});

test('what is no recording, or too large a one, is refused in words', async () => {
  const maker = somebody();
  const text = 'Not a sound, whatever it is called.'.repeat(9);
  const pretending = Buffer.concat([Buffer.from([0xff, 0xe3]), Buffer.from(text)]);
  for (const data of [Buffer.from(text), pretending, Buffer.from('RIFF'), Buffer.alloc(0)]) {
    expect((await maker.send('/recordings', data)).status).toBe(415);
  }
  const large = Buffer.concat([silence(), Buffer.alloc(16 * 1024 * 1024)]);
  expect((await maker.send('/recordings', large)).status).toBe(413);
  expect((await fetched('none.wav')).status).toBe(404);
});

test('a recording two makers keep stays for one when the other deletes it', async () => {
  const [one, other] = [somebody(), somebody()];
  const data = silence(4321);
  const { file } = (await one.send('/recordings', data)).body;
  await other.send('/recordings', data);
  expect((await one.ask('DELETE', `/recordings/${file}`)).status).toBe(200);
  expect((await one.ask('DELETE', `/recordings/${file}`)).status).toBe(404);
  expect((await one.ask('GET', '/bin')).body.recordings).toHaveLength(1);
  await one.ask('DELETE', '/bin');
  expect((await fetched(file)).status).toBe(200);
  await other.ask('DELETE', `/recordings/${file}`);
  // It may still come back from the bin, so that courses built to it still sound.
  expect((await fetched(file)).status).toBe(200);
  await other.ask('POST', `/recordings/${file}/restore`);
  expect((await other.ask('GET', '/recordings')).body.recordings).toHaveLength(1);
  await other.ask('DELETE', `/recordings/${file}`);
  await other.ask('DELETE', '/bin');
  expect((await fetched(file)).status).toBe(404);
});

test('one maker’s recordings are bounded, the bin included', async () => {
  const maker = somebody();
  const large = (i: number) => silence(9 * 1024 * 1024 + i);
  const { file } = (await maker.send('/recordings', large(0))).body;
  expect((await maker.send('/recordings', large(1))).status).toBe(201);
  await maker.ask('DELETE', `/recordings/${file}`);
  const full = await maker.send('/recordings', large(2));
  expect([full.status, full.body.error.code]).toEqual([409, 'full']);
  expect(full.body.error.message).toContain('20 MB');
  await maker.ask('DELETE', '/bin');
  expect((await maker.send('/recordings', large(2))).status).toBe(201);
});
