import { emptyCourse, type Course } from '@/core/course';
import { layPieces, type PieceInHand } from '@/core/edit';
import { buildWorld, courseHash, initialState, Recorder, tick, type Run } from '@/core/run';

/** A row of stones from start to lantern, each another way off, with shells over some of the gaps. */
export function hopCourse(name: string, random: () => number): Course {
  const between = (from: number, to: number) => from + random() * (to - from);
  const tenth = (v: number) => Math.round(v * 10) / 10;
  const pieces: PieceInHand[] = [{ family: 'start', at: [0, 0, 0] }];
  let [x, y] = [-2, 0];
  const count = 4 + Math.floor(random() * 12);
  for (let i = 0; i < count; i++) {
    const width = tenth(i === 0 ? 5 : between(2, 5));
    pieces.push({
      ...{ family: random() < 0.7 ? 'block' : 'slab', size: [width, 1, 2] },
      at: [tenth(x + width / 2), tenth(y - 1), 0],
      look: { material: random() < 0.5 ? 'stone' : 'timber' },
    });
    x = tenth(x + width);
    if (i === count - 1) break;
    const gap = tenth(between(0.6, 2.4));
    if (random() < 0.4)
      pieces.push({ family: 'shell', at: [tenth(x + gap / 2), tenth(y + 1.2), 0] });
    x = tenth(x + gap);
    y = tenth(Math.max(-0.4, y + between(-0.6, 0.5)));
  }
  pieces.push({ family: 'lantern', at: [tenth(x - 0.8), y, 0] });
  const course = layPieces(emptyCourse(name), pieces);
  return { ...course, description: `${count} stones over the tide, laid in one evening.` };
}

interface Hand {
  /** From 0 to 1: how little it strays from the best moment to jump. */
  readonly steadiness: number;
  readonly seed?: number;
}

/**
 * Runs to the right and hops before each edge, as steadily as is told.
 * @returns the run, which need not have come to the goal
 */
export function hopRun(
  on: Course,
  random: () => number,
  { steadiness, seed = 0 }: Hand,
): { run: Run; finished: boolean } {
  const world = buildWorld(on);
  const state = initialState(world, seed);
  const recorder = new Recorder();
  const edges = on.pieces
    .filter(({ family }) => family === 'block' || family === 'slab')
    .map(({ at, size }) => at[0] + size![0] / 2)
    .sort((a, b) => a - b);
  const leads = edges.map(() => 0.35 + (1 - steadiness) * (random() - 0.5) * 1.4);
  const rest = Math.floor(random() * 60);
  let held = 0;
  for (let i = 0; i < 3000 && state.finish < 0 && state.falls === 0; i++) {
    const next = edges.findIndex((edge) => edge > state.x - 0.1);
    const near = next >= 0 && next < edges.length - 1 && edges[next] - state.x < leads[next];
    if (near && held === 0 && state.ground >= 0) held = 26;
    const input = { x: i < rest ? 0 : 16, z: 0, jump: held > 0 };
    if (held > 0) held--;
    recorder.add(input);
    tick(world, state, input, () => {});
  }
  return {
    run: recorder.run(courseHash(on), Math.max(0, state.finish), seed),
    finished: state.finish >= 0,
  };
}
