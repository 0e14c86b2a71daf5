import { readFileSync, statSync } from 'node:fs';
import * as v from 'valibot';
import { checkCourse } from '@/core/check';
import { CourseError, MAX_COURSE_BYTES, type Course } from '@/core/course';
import { openText, ShareCodeError } from '@/core/formats';
import {
  courseHash,
  loadPhysics,
  NotRunnable,
  replay,
  ReplayRefused,
  RunSchema,
  type Run,
} from '@/core/run';
import { EXPORTS, exportCourse } from './export';

const USAGE = `stonehop check FILE              what is wrong with a course, each with its place
stonehop hash FILE               the hash over what affects a run
stonehop replay COURSE RUN       time, splits and events of a run; --json for programs
stonehop export FILE --to glb|svg|csv|png|code [--out FILE]
                                 the course as a scene, a drawing to scale, a table, a picture or a code
stonehop bench [PART]            measures the simulation; --json for programs`;

/** Something the one who called can put right; the message is all that is printed. */
class Refusal extends Error {}

function readText(file: string): string {
  try {
    // A file far too large is not even read.
    if (statSync(file).size > MAX_COURSE_BYTES) {
      throw new Refusal(`${file}: The file has more than 8 MB; a course has at most 8 MB.`);
    }
    return readFileSync(file, 'utf8');
  } catch (error) {
    if (error instanceof Refusal) throw error;
    throw new Refusal(`${file}: cannot be read (${(error as NodeJS.ErrnoException).code}).`);
  }
}

function openCourse(file: string): Course {
  try {
    return openText(readText(file));
  } catch (error) {
    if (error instanceof CourseError && error.problems.length > 0) {
      const lines = error.problems.map(({ path, message }) => `${file}: ${path} ${message}`);
      throw new Refusal(lines.join('\n'));
    }
    if (error instanceof CourseError || error instanceof ShareCodeError) {
      throw new Refusal(`${file}: ${error.message}`);
    }
    throw error;
  }
}

function openRun(file: string): Run {
  let data: unknown;
  try {
    data = JSON.parse(readText(file));
  } catch (error) {
    if (error instanceof Refusal) throw error;
    throw new Refusal(`${file}: The file is cut off or is not JSON.`);
  }
  const result = v.safeParse(RunSchema, data);
  if (!result.success) {
    const [issue] = result.issues;
    throw new Refusal(`${file}: ${v.getDotPath(issue) ?? 'run'} ${issue.message}`);
  }
  return result.output;
}

function check(file: string): number {
  const course = openCourse(file);
  const findings = checkCourse(course);
  for (const { weight, message, at, piece } of findings) {
    const place = at ? ` (${piece} at ${at.map((c) => c.toFixed(2)).join(', ')})` : '';
    console.log(`${weight}: ${message}${place}`);
  }
  const errors = findings.filter(({ weight }) => weight === 'error').length;
  console.log(
    errors === 0
      ? `${course.name}: ${course.pieces.length} pieces, nothing that keeps it from being run.`
      : `${course.name}: ${errors} to put right.`,
  );
  return errors === 0 ? 0 : 1;
}

async function replayFiles(courseFile: string, runFile: string, json: boolean): Promise<number> {
  const course = openCourse(courseFile);
  await loadPhysics(course);
  const result = replay(course, openRun(runFile));
  const { finished, time, splits, gathered, pickups, falls, events, poses } = result;
  if (json) {
    console.log(
      JSON.stringify({ finished, time, splits, gathered, pickups, falls, events, poses }),
    );
  } else {
    console.log(
      finished ? `finished in ${time.toFixed(3)} s` : `not finished after ${time.toFixed(3)} s`,
    );
    for (const split of splits)
      console.log(`checkpoint ${split.number}: ${split.time.toFixed(3)} s`);
    console.log(`${gathered} of ${pickups} gathered, ${falls} falls, poses ${poses}`);
    for (const { kind, time: at, piece } of events) {
      console.log(`${at.toFixed(3).padStart(9)}  ${kind}${piece ? ` ${piece}` : ''}`);
    }
  }
  return finished ? 0 : 1;
}

/** What is asked for by name, and the rest. */
function optionsOf(args: readonly string[]) {
  const rest: string[] = [];
  const options: { to?: string; out?: string } = {};
  let json = false;
  for (let i = 0; i < args.length; i++) {
    const name = args[i];
    if (name === '--json') json = true;
    else if (name === '--to' || name === '--out') {
      const value = args[++i];
      if (value === undefined) throw new Refusal(USAGE);
      options[name === '--to' ? 'to' : 'out'] = value;
    } else rest.push(name);
  }
  return { json, options, rest };
}

/** @throws Refusal where the file cannot be written */
async function exportTo(course: Course, to: string, out: string | null): Promise<void> {
  try {
    await exportCourse(course, to, out);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code === undefined) throw error;
    throw new Refusal(`${out ?? 'The output'}: cannot be written (${code}).`);
  }
}

async function run(args: readonly string[]): Promise<number> {
  const { json, options, rest } = optionsOf(args);
  const [command, first, second, ...more] = rest;
  if (more.length > 0) throw new Refusal(USAGE);
  if (command === 'check' && first && !second) return check(first);
  if (command === 'hash' && first && !second) {
    console.log(courseHash(openCourse(first)));
    return 0;
  }
  if (command === 'replay' && first && second) return replayFiles(first, second, json);
  if (command === 'export' && first && !second && options.to) {
    if (!EXPORTS.includes(options.to)) {
      throw new Refusal(`--to is one of ${EXPORTS.join(', ')}.`);
    }
    await exportTo(openCourse(first), options.to, options.out ?? null);
    return 0;
  }
  if (command === 'bench' && !second) {
    // It brings the demo courses, which take longer to make than all else here.
    const { bench, BENCH_PARTS } = await import('./bench/bench');
    if (!first || BENCH_PARTS.includes(first)) return bench(json, first);
  }
  throw new Refusal(USAGE);
}

run(process.argv.slice(2)).then(
  (code) => (process.exitCode = code),
  (error) => {
    const known =
      error instanceof Refusal || error instanceof ReplayRefused || error instanceof NotRunnable;
    if (!known) throw error;
    console.error((error as Error).message);
    process.exitCode = 1;
  },
);
