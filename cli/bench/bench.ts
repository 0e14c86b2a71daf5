import { onWorkPlane, refusal, snapToGrid } from '@/core/edit';
import fc from 'fast-check';

import {
  courseHash,
  buildWorld,
  loadPhysics,
  MotionPreview,
  Recorder,
  replay,
  initialState,
  tick,
  type Run,
  type World,
} from '@/core/run';
import { anyRun, pressedRun, runAny, type AnyRun } from '@/core/run/fuzz.testing';
import { RUNNERS, type RunnerKind } from '@/core/course';
import { keepsForward, measuringCourse, measuringField, paceInput, roundInput } from './courses';
import { median, timesOf, type Figure } from './figures';
import { firstLoad } from './firstLoad';
import { heaviest } from './heavy';
import { laying } from './laying';
import { inPage } from './page';
import { screens } from './screens';
import { timing } from './timing';

/** What can be measured by itself. */
const PARTS: Readonly<Record<string, () => Figure[] | Promise<Figure[]>>> = {
  speed,
  runners,
  loose,
  random,
  scrubbing: () => [scrubbing()],
  verification: () => [verification()],
  building: () => [building()],
  ghost: () => [ghost()],
  heavy: heaviest,
  laying,
  timing,
  page: inPage,
  screens,
  load: firstLoad,
};
export const BENCH_PARTS = Object.keys(PARTS);

/**
 * Measures and prints: a table, or with `json` one object with a key a figure. Returns 0.
 * @param part one of BENCH_PARTS, or all of them
 */
export async function bench(json: boolean, part?: string): Promise<number> {
  const figures: Figure[] = [];
  for (const [name, measure] of Object.entries(PARTS)) {
    if (!part || part === name) figures.push(...(await measure()));
  }
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

const STRETCH = 120_000;
const ROUNDS = 7;

/** Ticks a second of a hopper running to and fro over one stretch. */
function ticksPerSecond(world: World): number {
  const state = initialState(world);
  let forward = true;
  let way = 0;
  const from = performance.now();
  for (let i = 0; i < STRETCH; i++) {
    forward = keepsForward(state, forward);
    const { x } = state;
    tick(world, state, paceInput(state, forward), () => {});
    way += Math.abs(state.x - x);
  }
  const rate = (STRETCH / (performance.now() - from)) * 1000;
  // A runner that stands still somewhere would be measured as a fast one.
  if (way < 0.8 * 6 * (STRETCH / 120)) throw new Error('The measured runner did not get about.');
  return rate;
}

function speed(): Figure[] {
  const worlds = [buildWorld(measuringCourse(600, 40)), buildWorld(measuringCourse(6000, 40))];
  const rates: number[][] = [[], []];
  // Turn and turn about, so that whatever else the machine does meets both alike; the first round is
  // the compiler's.
  for (let round = 0; round <= ROUNDS; round++) {
    worlds.forEach((world, i) => {
      const rate = ticksPerSecond(world);
      if (round > 0) rates[i].push(rate);
    });
  }
  const [small, large] = rates.map(median);
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

/** Ticks a second of each runner among movers, links and throwers. */
function runners(): Figure[] {
  return RUNNERS.map((kind): Figure => {
    const world = buildWorld(
      measuringField(kind, { pieces: 600, movers: 40, links: 20, throwers: 4, loose: 0 }),
    );
    const rates = Array.from({ length: ROUNDS }, () => roundsPerSecond(world, kind));
    return {
      key: `ticksPerSecond_${kind}`,
      label: `${kind}, 600 pieces, 40 movers, 20 links, 4 throwers`,
      // The best round: what one core does while nothing else asks for it.
      value: Math.max(...rates),
      unit: 'ticks/s',
      goal: 'at least 200,000',
    };
  });
}

function roundsPerSecond(world: World, kind: RunnerKind, ticks = STRETCH): number {
  const state = initialState(world);
  let way = 0;
  const from = performance.now();
  for (let i = 0; i < ticks; i++) {
    const { x, z } = state;
    tick(world, state, roundInput(kind, state), () => {});
    way += Math.hypot(state.x - x, state.z - z);
  }
  const rate = (ticks / (performance.now() - from)) * 1000;
  if (way < ticks / 120) throw new Error(`The measured ${kind} did not get about.`);
  return rate;
}

/** Ticks a second of a hopper that pushes loose pieces about. */
async function loose(): Promise<Figure[]> {
  const counts = { pieces: 600, movers: 40, links: 20, throwers: 4, loose: 30 };
  const course = measuringField('hopper', counts);
  await loadPhysics(course);
  const world = buildWorld(course);
  const rates = Array.from({ length: ROUNDS }, () => roundsPerSecond(world, 'hopper', 6000));
  return [
    {
      key: 'ticksPerSecond_loose',
      label: 'The same hopper with 30 loose pieces',
      value: Math.max(...rates),
      unit: 'ticks/s',
      goal: 'at least 5,000',
    },
  ];
}

/** Random courses, each run for so many ticks, and how many of them left numbers or bounds. */
function random(): Figure[] {
  const [courses, ticks] = [2000, 3000];
  const runs = fc.sample(anyRun, { numRuns: courses, seed: 2024 });
  const pressed = fc.sample(pressedRun, { numRuns: courses, seed: 2025 });
  const isWrong = (run: AnyRun) => {
    try {
      runAny(run, ticks);
      return false;
    } catch (problem) {
      console.error(problem);
      return true;
    }
  };
  const from = performance.now();
  const wrong = runs.filter(isWrong);
  const seconds = (performance.now() - from) / 1000;
  const wrongPressed = pressed.filter(isWrong);
  return [
    {
      key: 'randomSeconds',
      label: '2,000 random courses for 3,000 ticks each',
      value: seconds,
      unit: 's',
      goal: 'at most 120',
    },
    { key: 'randomWrong', label: '… that left bounds', value: wrong.length, unit: '', goal: '0' },
    {
      key: 'pressedWrong',
      label: '2,000 held against corners and movers: wrong',
      value: wrongPressed.length,
      unit: '',
      goal: '0',
    },
  ];
}

/** Two hundred movers brought to one moment after another, as the scrubber does. */
function scrubbing(): Figure {
  const course = measuringField('hopper', {
    pieces: 800,
    movers: 200,
    links: 0,
    throwers: 0,
    loose: 0,
  });
  const playing = new MotionPreview(course);
  const ids = course.pieces.filter(({ motion }) => motion).map(({ id }) => id);
  const times = timesOf(300, (i) => {
    playing.to(i * 7);
    for (const id of ids) playing.posing(id);
  });
  return {
    key: 'scrub200',
    label: 'Scrubbing 200 movers, a frame',
    value: median(times),
    unit: 'ms',
    goal: 'at most 4',
  };
}

function verification(): Figure {
  const course = measuringCourse(600, 40);
  const world = buildWorld(course);
  const state = initialState(world);
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
  return {
    key: 'ghost2000',
    label: 'Pointer move to ghost placed, 2,000 pieces',
    value: median(times),
    unit: 'ms',
    goal: 'at most 4',
  };
}
