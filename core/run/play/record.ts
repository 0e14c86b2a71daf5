import { TICKS_PER_SECOND } from '../../motion';
import * as v from 'valibot';
import { boundedList } from '../../course';
import { FULL_AIM, type Input } from '../state';

export const RUN_FORMAT = 'stone-hop-run';
/** Version of the simulation. A run is only replayed by the version it was made with. */
export const CORE_VERSION = 5;

/** Longest run that is kept, ticks: half an hour. */
export const MAX_RUN_TICKS = 30 * 60 * TICKS_PER_SECOND;

/** Most stretches of a run. */
const MOST_STRETCHES = 100_000;

const step = v.pipe(v.number(), v.integer(), v.minValue(-FULL_AIM), v.maxValue(FULL_AIM));
const StretchSchema = v.strictTuple([
  v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(MAX_RUN_TICKS)),
  step,
  step,
  v.picklist([0, 1]),
]);

export const RunSchema = v.object({
  format: v.literal(RUN_FORMAT, 'This is not a Stone Hop run.'),
  core: v.pipe(v.number(), v.integer()),
  /** courseHash of the course it was made on. */
  course: v.pipe(v.string(), v.regex(/^[0-9a-f]{64}$/, 'is no course hash')),
  /** Seed of whatever chance the course has. */
  seed: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(0xffffffff)),
  /** Which start of several it began at, from 0. */
  start: v.optional(v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(99))),
  /** Stretches of equal input: ticks, pad x, pad z, jump. */
  inputs: boundedList(StretchSchema, MOST_STRETCHES),
  /** The time the recorder saw, s; only a replay decides. */
  claim: v.pipe(v.number(), v.finite(), v.minValue(0)),
});

export type Run = v.InferOutput<typeof RunSchema>;
export type Stretch = Run['inputs'][number];

/** Collects inputs tick by tick as stretches of equal ones. */
export class Recorder {
  readonly inputs: Stretch[] = [];

  add({ x, z, jump }: Input): void {
    const last = this.inputs[this.inputs.length - 1];
    const pressed = jump ? 1 : 0;
    if (last && last[1] === x && last[2] === z && last[3] === pressed) last[0]++;
    else this.inputs.push([1, x, z, pressed]);
  }

  /** The run as it is kept and sent. */
  run(course: string, claim: number, seed = 0, start = 0): Run {
    const { inputs } = this;
    return {
      ...{ format: RUN_FORMAT, core: CORE_VERSION, course, seed },
      ...(start > 0 ? { start } : {}),
      ...{ inputs, claim },
    };
  }
}

/**
 * A run in its one normal form: stretches of equal input in one, and nothing after its end. Two runs that press the same
 * have the same.
 * @param run as it was sent
 * @param ticks after how many ticks it ended, where that is known
 */
export function normalRun(run: Run, ticks = Infinity): Run {
  const inputs: Stretch[] = [];
  let left = ticks;
  for (const [count, x, z, jump] of run.inputs) {
    if (left <= 0) break;
    const lasts = Math.min(left, count);
    left -= lasts;
    const last = inputs[inputs.length - 1];
    if (last && last[1] === x && last[2] === z && last[3] === jump) last[0] += lasts;
    else inputs.push([lasts, x, z, jump]);
  }
  return { ...run, inputs };
}
