import fc from 'fast-check';
import { emptyCourse, type Course } from '../course';
import { layPieces, type PieceInHand } from '../edit';
import { buildWorld, replay, type Run } from '../run';
import { runOf } from './testing';
import { beatSheet, beatShifts, runLine, shiftOntoBeat, traceOf } from '.';

const TEMPO = { beats: 100, offset: 0 };

/** Floors one after the other, their lengths m, with gaps of 1.6 m between them. */
function floors(lengths: readonly number[]): Course {
  let x = -5;
  const pieces: PieceInHand[] = [];
  for (const length of lengths) {
    pieces.push({ family: 'slab', at: [x + length / 2, -1, 0], size: [length, 1, 4] });
    x += length + 1.6;
  }
  const course = layPieces(emptyCourse('Steps'), [
    { family: 'start', at: [0, 0, 0] },
    ...pieces,
    { family: 'lamp', at: [14, 0, 3] },
  ]);
  return { ...course, tempo: TEMPO };
}

/** A run to the right that presses before each edge, half a metre before it. */
function hopping(course: Course): Run {
  const slabs = course.pieces.filter(({ family }) => family === 'slab');
  const edges = slabs.slice(0, -1).map(({ at, size }) => at[0] + size![0] / 2 - 0.5);
  const still = replay(course, runOf(course, [1, 16, 0, 0])).path[0];
  let inputs: Run['inputs'] = [];
  let ticks = 0;
  // Each press is made where the run without it comes to the edge.
  for (const edge of edges) {
    const { path } = replay(course, runOf(course, ...inputs, [900, 16, 0, 0]));
    let at = ticks;
    while (at < path.length / 3 - 1 && path[3 * at] - still < edge - still) at++;
    inputs = [...inputs, [at - ticks, 16, 0, 0], [20, 16, 0, 1]];
    ticks = at + 20;
  }
  return runOf(course, ...inputs, [240, 16, 0, 0]);
}

const read = (course: Course, run: Run) => {
  const world = buildWorld(course);
  const trace = traceOf(course, run, world);
  const sheet = beatSheet(runLine(trace).marks, TEMPO);
  return { sheet, shifts: beatShifts(course, world, trace, sheet.hits), trace };
};
const landings = (course: Course) =>
  read(course, hopping(course)).sheet.hits.filter(({ kind }) => kind === 'land');

// Two beats are 7.2 m.
test.each([[[12.2, 6, 5.3, 5.9, 20]], [[11.9, 5.2, 5.6, 6.1, 20]]])(
  'pressed at the same edges, what was shifted is landed on with the beat: floors of %p m',
  (lengths) => {
    const course = floors(lengths);
    const before = landings(course);
    expect(before).toHaveLength(lengths.length - 1);
    const off = (all: typeof before) => Math.max(...all.map(({ late }) => Math.abs(late)));
    expect(off(before)).toBeGreaterThan(0.05);
    // Pressed at as much before the floor that is landed on as before, not before the edge of the one left.
    const { shifts } = read(course, hopping(course));
    const run = hopping(course);
    const moved = shiftOntoBeat(course, shifts);
    const late = before.map((hit) => Math.round(hit.late * 120));
    let was = 0;
    const later = run.inputs.map(([ticks, x, z, jump], i): Run['inputs'][number] => {
      // Stretches before a press end earlier by what the landing was late, beside what those before did.
      if (jump === 1 || i === run.inputs.length - 1) return [ticks, x, z, jump];
      const now = late[i / 2];
      const stretch = ticks - (now - was);
      was = now;
      return [stretch, x, z, jump];
    });
    const after = read(moved, runOf(moved, ...later)).sheet.hits.filter(
      ({ kind }) => kind === 'land',
    );
    expect(after).toHaveLength(before.length);
    expect(off(after)).toBeLessThanOrEqual(2 / 120);
  },
);

test('each floor is moved by its own lateness times the speed, and what lies beside it with it', () => {
  const course = floors([12.2, 6, 5.3, 20]);
  const run = hopping(course);
  const { sheet, shifts, trace } = read(course, run);
  const landed = sheet.hits.filter(({ kind }) => kind === 'land');
  expect(shifts).toHaveLength(landed.length);
  shifts.forEach(({ by, pieces }, i) => {
    const { tick, late } = landed[i];
    const speed = trace.speed[tick];
    expect(by[0]).toBeCloseTo(-late * speed, 1);
    expect([by[1], by[2]]).toEqual([0, -0]);
    expect(pieces.length).toBeGreaterThan(0);
  });
  const all = shifts.flatMap(({ pieces }) => pieces);
  expect(new Set(all).size).toBe(all.length);
  // The start, and the floor it stands on, stay; the lamp goes along.
  expect(all).not.toContain('p1');
  expect(all).not.toContain('p2');
  expect(all).toContain(course.pieces.find(({ family }) => family === 'lamp')!.id);
});

test('what is stood on before and after a hop stays, and so does what is locked or far off', () => {
  const whole = layPieces(emptyCourse('One floor'), [
    { family: 'start', at: [0, 0, 0] },
    { family: 'slab', at: [15, -1, 0], size: [40, 1, 4] },
    { family: 'lamp', at: [8, 0, 40] },
    { family: 'lamp', at: [8, 0, 1.5] },
  ]);
  const course = { ...whole, tempo: TEMPO };
  const run = runOf(course, [70, 16, 0, 0], [20, 16, 0, 1], [200, 16, 0, 0]);
  const { shifts } = read(course, run);
  expect(shifts.flatMap(({ pieces }) => pieces)).toEqual(['p4']);
  const locked = {
    ...course,
    pieces: course.pieces.map((piece) => ({ ...piece, locked: true as const })),
  };
  expect(read(locked, run).shifts).toEqual([]);
});

test('shifts to nowhere leave the course the same', () => {
  fc.assert(
    fc.property(fc.constantFrom<number[]>([12.2, 6, 20], [12.2, 5.3, 20]), (lengths) => {
      const course = floors(lengths);
      expect(shiftOntoBeat(course, [])).toBe(course);
      const [{ pieces, by }] = read(course, hopping(course)).shifts;
      const back = shiftOntoBeat(shiftOntoBeat(course, [{ pieces, by }]), [
        { pieces, by: [-by[0], 0, -by[2]] },
      ]);
      back.pieces.forEach(({ at }, i) => expect(at[0]).toBeCloseTo(course.pieces[i].at[0], 2));
    }),
    { numRuns: 4 },
  );
});

test('among thousands of pieces and minutes of running each is still moved with what it stands by', () => {
  const course = floors([12.2, 6, 5.3, 20]);
  const many = layPieces(
    course,
    Array.from({ length: 3000 }, (_, i): PieceInHand => ({
      family: 'lamp',
      at: [(i % 60) - 10, 0, 2.5 + Math.floor(i / 60)],
    })),
  );
  const run = hopping(course);
  const waits: Run['inputs'] = [...run.inputs, [20_000, 0, 0, 0]];
  const { sheet, shifts } = read(many, runOf(many, ...waits));
  const landed = sheet.hits.filter(({ kind }) => kind === 'land');
  expect(shifts.length).toBeGreaterThan(0);
  const all = shifts.flatMap(({ pieces }) => pieces);
  expect(new Set(all).size).toBe(all.length);
  const of = new Map(shifts.flatMap((shift) => shift.pieces.map((id) => [id, shift] as const)));
  for (const { id, at, family } of many.pieces) {
    if (family !== 'lamp' || at[0] < 10 || at[0] > 12 || at[2] > 5) continue;
    // Beside the first landing, and near no other.
    expect(of.get(id)?.by[0]).toBeCloseTo(-landed[0].late * 6, 1);
  }
  // Six metres off nothing goes along.
  for (const { id, at } of many.pieces) if (at[2] > 6.1) expect(of.has(id)).toBe(false);
});
