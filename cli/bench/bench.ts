import { layPiece, onWorkPlane, refusal, snapToGrid } from '@/core/assemble';
import { courseHash } from '@/core/course';
import { buildWorld, Recorder, replay, startState, tick, type Run, type World } from '@/core/run';
import { keepsForward, measuringCourse, paceInput } from './courses';

interface Figure {
  readonly key: string;
  readonly label: string;
  readonly value: number;
  readonly unit: string;
  readonly goal: string;
}

/** Measures and prints: a table, or with `json` one object with a key a figure. Returns 0. */
export function bench(json: boolean): number {
  const figures = [...speed(), verification(), building(), ghost()];
  if (json) {
    console.log(JSON.stringify(Object.fromEntries(figures.map(({ key, value }) => [key, value]))));
  } else {
    for (const { label, value, unit, goal } of figures) {
      const shown = value >= 1000 ? Math.round(value).toLocaleString('en') : value.toFixed(2);
      console.log(`${label.padEnd(52)} ${shown.padStart(10)} ${unit.padEnd(8)} ${goal}`);
    }
  }
  return 0;
}

const median = (values: number[]): number => values.sort((a, b) => a - b)[values.length >> 1];

/** Ticks a second of a hopper running to and fro, the median of five stretches. */
function ticksPerSecond(world: World): number {
  const state = startState(world);
  const stretch = 120_000;
  let forward = true;
  const rates: number[] = [];
  for (let round = 0; round < 6; round++) {
    const from = performance.now();
    for (let i = 0; i < stretch; i++) {
      forward = keepsForward(state, forward);
      tick(world, state, paceInput(state, forward), () => {});
    }
    rates.push((stretch / (performance.now() - from)) * 1000);
  }
  // The first stretch is the compiler's.
  return median(rates.slice(1));
}

function speed(): Figure[] {
  const small = ticksPerSecond(buildWorld(measuringCourse(600, 40)));
  const large = ticksPerSecond(buildWorld(measuringCourse(6000, 40)));
  const unit = 'ticks/s';
  return [
    {
      key: 'ticksPerSecond600',
      label: 'Hopper, 600 pieces, 40 movers',
      value: small,
      unit,
      goal: 'at least 300,000',
    },
    {
      key: 'ticksPerSecond6000',
      label: 'Hopper, 6,000 pieces, 40 movers',
      value: large,
      unit,
      goal: 'at least 75 % of that',
    },
    {
      key: 'ratio6000',
      label: 'The same, as part of the first',
      value: large / small,
      unit: '',
      goal: 'at least 0.75',
    },
  ];
}

function verification(): Figure {
  const course = measuringCourse(600, 40);
  const world = buildWorld(course);
  const state = startState(world);
  const recorder = new Recorder();
  let forward = true;
  for (let i = 0; i < 60 * 120; i++) {
    forward = keepsForward(state, forward);
    const input = paceInput(state, forward);
    recorder.add(input);
    tick(world, state, input, () => {});
  }
  const run: Run = recorder.run(courseHash(course), 60);
  const times: number[] = [];
  for (let i = 0; i < 9; i++) {
    // A fresh object each time, as from a request: nothing known of its pieces.
    const fresh = structuredClone(course);
    const from = performance.now();
    replay(fresh, run);
    times.push(performance.now() - from);
  }
  return {
    key: 'verify60s',
    label: 'Verifying a 60 s run there, world and all',
    value: median(times),
    unit: 'ms',
    goal: 'at most 100',
  };
}

function building(): Figure {
  const course = measuringCourse(2000, 40);
  const times: number[] = [];
  for (let i = 0; i < 9; i++) {
    const fresh = structuredClone(course);
    const from = performance.now();
    buildWorld(fresh);
    times.push(performance.now() - from);
  }
  return {
    key: 'build2000',
    label: 'World of 2,000 pieces',
    value: median(times),
    unit: 'ms',
    goal: 'at most 150',
  };
}

/** From a pointer's ray to the place a piece in hand would land, with the reason where it may not. */
function ghost(): Figure {
  const course = measuringCourse(2000, 40);
  const times: number[] = [];
  for (let i = 0; i < 400; i++) {
    const from = performance.now();
    const ray = { from: [i / 10, 9, 30], along: [0.01, -0.2, -1] } as const;
    const place = onWorkPlane(ray, { axis: 'z', value: 0 });
    if (place) {
      const [x, y, z] = snapToGrid(place, 0.5);
      refusal(course, { family: 'slab', at: [x, y, z] });
    }
    times.push(performance.now() - from);
  }
  layPiece(course, { family: 'slab', at: [0, 9, 0] });
  return {
    key: 'ghost2000',
    label: 'Pointer move to ghost placed, 2,000 pieces',
    value: median(times),
    unit: 'ms',
    goal: 'at most 4',
  };
}
