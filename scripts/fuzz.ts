// npm run fuzz: thousands of damaged documents, codes, kits, models and bodies. Nothing may crash, answer
// with a fault of the server's own, take longer than two seconds, or be kept otherwise than it was sent.
import { isDeepStrictEqual } from 'node:util';
import { gzipSync } from 'node:zlib';
import { Document, WebIO } from '@gltf-transform/core';
import { KitError, readKit, toKit, type Kit } from '@/core/edit';
import { CourseError, withoutUnused, type Course } from '@/core/course';
import { fromShareCode, ShareCodeError, toShareCode } from '@/core/formats';
import { ModelError, readModel } from '@/core/formats/model';
import { DEMO_COURSES } from '@/demo/courses';
import { TestServer } from '@/e2e/support/server';
import { HARD } from './support/built';
import { Somebody } from './support/somebody';

const EACH = Number(process.argv[2] ?? 2000);
const SLOW = 2000;

// A generator of one's own, so that what was found once is found again (Lehmer, 1951).
let state = Number(process.argv[3] ?? 1);
const chance = () => (state = (state * 48271) % 2147483647) / 2147483647;
const below = (n: number) => Math.floor(chance() * n);
const pick = <T>(list: readonly T[]): T => list[below(list.length)];

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

const STRANGE: Json[] = [
  ...[null, true, 0, -0, -1, 1e308, -1e308, 1e-320, 4e9, 0.1, 2 ** 53],
  ...[
    '',
    'x',
    '__proto__',
    'constructor',
    '\u0000',
    '\ud800',
    '\u202e',
    'a'.repeat(5000),
    '../../etc',
  ],
  ...[[], {}, [[]], [null], { __proto__: 1 } as Json, [1, 2, 3], [1e308, -1e308, 0]],
];

/** What might be asked in an address. */
const WORDS = [
  'hop',
  '"',
  '*',
  'a OR b',
  'NEAR(',
  '\u0000',
  '\u202e',
  '%',
  '-1',
  '1e309',
  'x'.repeat(99),
  '𝕏',
];

/** A copy with so many places changed, taken out, doubled or swapped. */
function damaged(value: Json, times: number): Json {
  const copy = structuredClone(value);
  for (let n = 0; n < times; n++) {
    let at: Json = copy;
    for (let depth = 0; depth < 8; depth++) {
      if (typeof at !== 'object' || at === null) break;
      const holder = at as Record<string, Json>;
      const key = pick(Object.keys(holder));
      if (key === undefined) break;
      const inner = holder[key];
      if (depth < 7 && typeof inner === 'object' && inner !== null && chance() < 0.75) {
        at = inner;
        continue;
      }
      const what = below(6);
      if (what === 0 && !Array.isArray(holder)) delete holder[key];
      else if (what === 1 && Array.isArray(holder)) holder.push(structuredClone(inner));
      else if (what === 2)
        holder[pick(['more', 'id', 'at', 'pieces', '__proto__'])] = pick(STRANGE);
      else if (what === 3 && typeof inner === 'number') holder[key] = -inner * 1000;
      else holder[key] = structuredClone(pick(STRANGE));
      break;
    }
  }
  return copy;
}

/** Bytes with some changed, cut off, or put in twice. */
function damagedBytes(bytes: Buffer): Buffer {
  const copy = Buffer.from(bytes);
  for (let n = 1 + below(6); n > 0; n--) copy[below(copy.length)] = below(256);
  const what = below(4);
  if (what === 0) return copy.subarray(0, below(copy.length));
  const cut = below(copy.length);
  return what === 1 ? Buffer.concat([copy.subarray(0, cut), copy]) : copy;
}

const wrong: string[] = [];
const counts = new Map<string, number>();
/** Does something damaged, and notes what is wrong with how it went. */
async function during(kind: string, act: () => Promise<string | null>): Promise<void> {
  const before = state;
  const from = performance.now();
  let problem: string | null;
  try {
    problem = await act();
  } catch (error) {
    problem = `${(error as Error).name}: ${(error as Error).message}`;
  }
  const ms = performance.now() - from;
  if (ms > SLOW) problem ??= `took ${ms.toFixed(0)} ms`;
  counts.set(kind, (counts.get(kind) ?? 0) + 1);
  if (problem) wrong.push(`${kind} (seed ${before}): ${problem.slice(0, 300)}`);
}

/** A binary glTF of one triangle. */
async function glb(): Promise<Buffer> {
  const document = new Document();
  const buffer = document.createBuffer();
  const positions = document
    .createAccessor()
    .setType('VEC3')
    .setArray(new Float32Array([0, 0, 0, 1, 0, 0, 0, 1, 0, 0, 0, 1]))
    .setBuffer(buffer);
  const indices = document
    .createAccessor()
    .setArray(new Uint16Array([0, 1, 2, 0, 2, 3]))
    .setBuffer(buffer);
  const primitive = document
    .createPrimitive()
    .setAttribute('POSITION', positions)
    .setIndices(indices);
  const node = document.createNode().setMesh(document.createMesh().addPrimitive(primitive));
  document.createScene().addChild(node);
  return Buffer.from(await new WebIO().writeBinary(document));
}

/** JSON as the server reads it: no undefined, no -0. */
const asJson = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

/** Where two values first differ. */
function difference(a: unknown, b: unknown, at = ''): string {
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) {
    return `${at} ${JSON.stringify(a)} for ${JSON.stringify(b)}`.slice(0, 200);
  }
  for (const key of new Set([...Object.keys(a), ...Object.keys(b)])) {
    const [x, y] = [a, b].map((one) => (one as Record<string, unknown>)[key]);
    if (!isDeepStrictEqual(x, y)) return difference(x, y, `${at}.${key}`);
  }
  return at;
}

/** What is damaged, and who sends it. */
interface Stock {
  readonly maker: Somebody;
  readonly courses: readonly Course[];
  readonly kits: readonly Kit[];
  readonly codes: readonly string[];
  readonly model: Buffer;
}

/** A damaged course: refused in words, or kept exactly as it was sent. */
async function tryDocument({ maker, courses }: Stock, i: number): Promise<string | null> {
  const course = damaged(asJson(pick(courses)) as Json, 1 + below(3));
  const { status, data } = await maker.ask('POST', '/courses', { course });
  if (status >= 500) return `${status} ${String(data)}`;
  if (status !== 201) return status < 400 ? `${status}` : null;
  const { id, course: kept } = JSON.parse(String(data)) as { id: string; course: Course };
  await maker.ask('DELETE', `/courses/${id}`);
  if (i % 50 === 0) await maker.ask('DELETE', '/bin');
  const sent = withoutUnused(asJson(course) as Course);
  return isDeepStrictEqual(kept, sent) ? null : `kept otherwise: ${difference(kept, sent)}`;
}

/** A damaged assembly: kept only if it can be read. */
async function tryKit({ maker, kits }: Stock, i: number): Promise<string | null> {
  const kit = damaged(asJson(pick(kits)) as Json, 1 + below(3));
  const { status, data } = await maker.ask('POST', '/kits', { kit });
  if (status >= 500) return `${status} ${String(data)}`;
  try {
    readKit(JSON.stringify(kit));
  } catch (error) {
    if (!(error instanceof KitError)) throw error;
    return status === 201 ? 'taken, though it is none' : null;
  }
  if (status !== 201) return status < 400 ? `${status}` : null;
  await maker.ask('DELETE', `/kits/${(JSON.parse(String(data)) as { id: string }).id}`);
  if (i % 50 === 0) await maker.ask('DELETE', '/bin');
  return null;
}

/** A damaged code: refused, or the very course it was made from. */
async function tryCode({ codes, courses }: Stock): Promise<string | null> {
  const code = pick(codes);
  const at = below(code.length);
  const text =
    chance() < 0.3
      ? String(damagedBytes(Buffer.from(code)))
      : code.slice(0, at) + pick(['A', 'z', '-', '']) + code.slice(at + 1);
  try {
    const course = fromShareCode(text);
    return codes.some((one) => one === text.replace(/\s+/g, '')) ||
      courses.some((one) => isDeepStrictEqual(one, course))
      ? null
      : 'another course than was put in';
  } catch (error) {
    return error instanceof ShareCodeError || error instanceof CourseError ? null : String(error);
  }
}

/** A damaged model: refused in words. */
async function tryModel({ model }: Stock): Promise<string | null> {
  try {
    await readModel(new Uint8Array(damagedBytes(model)), 'Rock');
    return null;
  } catch (error) {
    return error instanceof ModelError ? null : String(error);
  }
}

/** Anything at all, sent anywhere: never a fault of the server’s own. */
async function tryBody({ maker }: Stock): Promise<string | null> {
  const [method, path] = pick([
    ['POST', '/courses'],
    ['PUT', '/courses/none'],
    ['POST', '/kits'],
    ['PUT', '/me'],
    ['POST', '/session'],
    ['POST', '/recordings'],
    ['POST', '/published/salt-pan-hop/runs'],
    ['POST', '/published/salt-pan-hop/attempts'],
    ['POST', '/published/salt-pan-hop/reports'],
    ['POST', '/published/salt-pan-hop/notes'],
    ['PUT', '/published/salt-pan-hop/like'],
    ['PUT', '/makers/Isla/follow'],
    ['POST', '/series'],
    ['PUT', '/series/lantern-week'],
    [
      'GET',
      `/explore?words=${encodeURIComponent(pick(WORDS))}&order=${pick(['new', 'close', 'x'])}`,
    ],
    ['GET', `/explore?after=${encodeURIComponent(pick(WORDS))}`],
    ['GET', `/published/salt-pan-hop?edition=${encodeURIComponent(pick(WORDS))}`],
    ['GET', '/makers/%E0%A4%A'],
    ['GET', '/recordings/%00'],
    ['GET', '/courses/%E0%A4%A'],
    ['DELETE', '/bin'],
  ] as const);
  const raw = pick([
    Buffer.from(JSON.stringify(pick(STRANGE)) ?? ''),
    Buffer.from(
      JSON.stringify({
        name: pick(STRANGE),
        passphrase: pick(STRANGE),
        run: pick(STRANGE),
        attempt: pick(STRANGE),
      }),
    ),
    Buffer.from('['.repeat(1 + below(40_000))),
    damagedBytes(Buffer.from('{"course":{"format":"stone-hop-course"}}')),
  ]);
  const type = pick([
    'application/json',
    'text/plain',
    'application/json; charset=utf-7',
    'x/y',
    'application/octet-stream',
  ]);
  const body = method === 'GET' ? Buffer.alloc(0) : raw;
  const { status, data } = await maker.send(method, path, body, type);
  return status >= 500 ? `${method} ${path}: ${status} ${String(data)}` : null;
}

/** Every route that takes a body. */
const TAKERS = [
  ...['POST /courses', 'PUT /courses/none', 'PUT /courses/none/shelf', 'POST /courses/none/proof'],
  ...['PUT /courses/none/versions/1', 'PUT /courses/none/published', 'PUT /me', 'DELETE /me'],
  ...['POST /kits', 'PUT /kits/none', 'POST /session', 'POST /recordings', 'POST /series'],
  ...['PUT /series/lantern-week', 'PUT /makers/Isla/follow', 'PUT /courses/none/notes/1/blocked'],
  ...['runs', 'reports', 'notes'].map((end) => `POST /published/salt-pan-hop/${end}`),
  ...['like', 'runs/own', 'attempts/a/ends'].map((end) => `PUT /published/salt-pan-hop/${end}`),
];

/** Bodies that are far longer, deeper or wider than what they are packed in. */
const BOMBS: readonly (() => Buffer)[] = [
  () => Buffer.alloc(64 * 2 ** 20, 32),
  () => Buffer.from('['.repeat(2 ** 20)),
  () => Buffer.from(`{"course":${'{"a":'.repeat(50_000)}1${'}'.repeat(50_000)}}`),
  () => Buffer.from(`{"courses":[${'"quay",'.repeat(300_000)}"quay"],"name":"Wide"}`),
  () => Buffer.from(`{"run":{"inputs":[${'[1,0,0,0],'.repeat(400_000)}[1,0,0,0]]},"attempt":"a"}`),
  () =>
    Buffer.from(
      JSON.stringify(Object.fromEntries(Array.from({ length: 200_000 }, (_, i) => [`k${i}`, i]))),
    ),
];
const packed: Buffer[] = [];

/** A bomb sent anywhere, packed or not, by somebody or nobody: refused, at once. */
async function tryBomb({ maker }: Stock): Promise<string | null> {
  if (packed.length === 0) packed.push(...BOMBS.map((make) => gzipSync(make())));
  const [method, path] = pick(TAKERS).split(' ');
  const one = chance() < 0.5 ? maker.before(maker.port) : new Somebody(maker.port);
  one.packing = pick(['gzip', 'gzip', 'br', 'gzip, gzip', 'deflate']);
  const { status } = await one.send(method, path, pick(packed), 'application/json');
  one.close();
  return status >= 500 || status < 400 ? `${method} ${path}, ${one.packing}: ${status}` : null;
}

const TRIES: Readonly<Record<string, (stock: Stock, i: number) => Promise<string | null>>> = {
  document: tryDocument,
  kit: tryKit,
  code: tryCode,
  model: tryModel,
  body: tryBody,
};

async function main(): Promise<void> {
  const server = new TestServer();
  await server.start(HARD);
  const maker = new Somebody(server.port);
  const courses = DEMO_COURSES.map(({ course }) => course);
  const kits = courses.map((course) =>
    toKit(course, new Set(course.pieces.slice(0, 5).map(({ id }) => id)), 'Bit'),
  );
  const stock: Stock = {
    maker,
    courses,
    kits,
    codes: courses.map(toShareCode),
    model: await glb(),
  };
  for (let i = 0; i < EACH; i++) {
    for (const [kind, attempt] of Object.entries(TRIES)) {
      await during(kind, () => attempt(stock, i));
    }
    // They take long to send; one in a hundred is enough.
    if (i % 100 === 0) await during('bomb', () => tryBomb(stock));
    if ((i + 1) % 500 === 0) console.log(`${i + 1} of each tried, ${wrong.length} wrong`);
  }
  const { status } = await maker.ask('GET', '/me');
  if (status !== 200) wrong.push('The server does not answer any more.');
  maker.close();
  await server.remove();
  console.log([...counts].map(([kind, count]) => `${count} of ${kind}`).join(', '));
  console.log(`${wrong.length} wrong`);
  for (const one of wrong.slice(0, 20)) console.log(one);
  process.exit(wrong.length > 0 ? 1 : 0);
}

void main();
