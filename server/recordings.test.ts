import { testServer } from './testing/client';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.remove());

/** A second of silence as a WAV file. */
function silence(): Buffer {
  const samples = 8000;
  const file = Buffer.alloc(44 + samples);
  file.write('RIFF', 0);
  file.writeUInt32LE(36 + samples, 4);
  file.write('WAVEfmt ', 8);
  file.writeUInt32LE(16, 16);
  file.writeUInt16LE(1, 20);
  file.writeUInt16LE(1, 22);
  file.writeUInt32LE(8000, 24);
  file.writeUInt32LE(8000, 28);
  file.writeUInt16LE(1, 32);
  file.writeUInt16LE(8, 34);
  file.write('data', 36);
  file.writeUInt32LE(samples, 40);
  return file;
}

const send = (data: Buffer) =>
  fetch(`${address()}/api/recordings`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/octet-stream' },
    body: new Uint8Array(data),
  });
const address = () => `http://127.0.0.1:${server.running.port}`;

test('a recording is kept by what it holds and comes back as it was', async () => {
  const kept = await send(silence());
  expect(kept.status).toBe(201);
  const { file } = (await kept.json()) as { file: string };
  expect(file).toMatch(/^[0-9a-f]{64}\.wav$/);
  expect(((await (await send(silence())).json()) as { file: string }).file).toBe(file);
  const back = await fetch(`${address()}/api/recordings/${file}`);
  expect(back.headers.get('content-type')).toBe('audio/wav');
  expect(Buffer.from(await back.arrayBuffer()).equals(silence())).toBe(true);
});

test('what is no recording, or too large a one, is refused in words', async () => {
  const text = await send(Buffer.from('Not a sound, whatever it is called.'.repeat(9)));
  expect(text.status).toBe(415);
  const large = await send(Buffer.concat([silence(), Buffer.alloc(16 * 1024 * 1024)]));
  expect(large.status).toBe(413);
  expect((await fetch(`${address()}/api/recordings/none.wav`)).status).toBe(404);
});
