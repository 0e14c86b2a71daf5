import { readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { checkCourse, partedFindings } from '@/core/check';
import { CourseError, MAX_COURSE_BYTES, type Course } from '@/core/course';
import {
  looksLikeSvg,
  openText,
  readRunFile,
  RunFileError,
  ShareCodeError,
  toCourseFile,
} from '@/core/formats';
import { courseHash, loadPhysics, NotRunnable, replay, ReplayRefused, type Run } from '@/core/run';
import { EXPORTS, exportCourse, writeOut } from './export';

const USAGE = `stonehop check FILE              what is wrong with a course, each with its place
stonehop hash FILE               the hash over what affects a run
stonehop replay COURSE RUN       time, splits and events of a run; --json for programs
stonehop export FILE --to glb|svg|csv|png|code [--out FILE]
                                 the course as a scene, a drawing to scale, a table, a picture or a code
stonehop import FILE [--out FILE]
                                 a course file of a course file, a code, or a drawing's outlines (SVG)
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
  try {
    return readRunFile(readText(file));
  } catch (error) {
    if (error instanceof RunFileError) throw new Refusal(`${file}: ${error.message}`);
    throw error;
  }
}

function check(file: string): number {
  const course = openCourse(file);
  const { told: findings, aside } = partedFindings(course, checkCourse(course));
  for (const { weight, message, at, piece } of findings) {
    const place = at ? ` (${piece} at ${at.map((c) => c.toFixed(2)).join(', ')})` : '';
    console.log(`${weight}: ${message}${place}`);
  }
  if (aside.length > 0) console.log(`${aside.length} put aside by its maker.`);
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
  try {
    const { values, positionals } = parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        json: { type: 'boolean', default: false },
        to: { type: 'string' },
        out: { type: 'string' },
      },
    });
    return { ...values, rest: positionals };
  } catch {
    throw new Refusal(USAGE);
  }
}

/** A course file of a course file, a code, or a drawing's outlines. */
async function importFile(file: string, out: string | null): Promise<number> {
  const { courseFromSvg, SvgError } = await import('@/core/formats/import');
  const text = readText(file);
  let course: Course;
  if (looksLikeSvg(text)) {
    try {
      const name = path.basename(file).replace(/\.[^.]*$/, '');
      const read = courseFromSvg(text, name.length < 3 ? 'From a drawing' : name);
      if (read.left > 0) console.error(`${file}: ${read.left} outlines cannot be platforms.`);
      course = read.course;
    } catch (error) {
      if (error instanceof SvgError) throw new Refusal(`${file}: ${error.message}`);
      throw error;
    }
  } else course = openCourse(file);
  await written(out, () => writeOut(toCourseFile(course), out));
  return 0;
}

/** @throws Refusal where the file cannot be written */
async function written(out: string | null, write: () => void | Promise<void>): Promise<void> {
  try {
    await write();
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code === undefined) throw error;
    throw new Refusal(`${out ?? 'The output'}: cannot be written (${code}).`);
  }
}

interface Options {
  readonly json: boolean;
  readonly to?: string;
  readonly out: string | null;
}

interface Command {
  /** Files it takes, at least and at most. */
  readonly files: readonly [least: number, most: number];
  /** Answers with the exit code. */
  readonly run: (files: readonly string[], options: Options) => number | Promise<number>;
}

const COMMANDS: Readonly<Record<string, Command>> = {
  check: { files: [1, 1], run: ([file]) => check(file) },
  hash: {
    files: [1, 1],
    run: ([file]) => {
      console.log(courseHash(openCourse(file)));
      return 0;
    },
  },
  replay: { files: [2, 2], run: ([course, run], { json }) => replayFiles(course, run, json) },
  export: { files: [1, 1], run: ([file], options) => exportFile(file, options) },
  import: { files: [1, 1], run: ([file], { out }) => importFile(file, out) },
  bench: { files: [0, 1], run: ([part], { json }) => benchPart(part, json) },
};

async function exportFile(file: string, { to, out }: Options): Promise<number> {
  if (!to) throw new Refusal(USAGE);
  if (!EXPORTS.includes(to)) throw new Refusal(`--to is one of ${EXPORTS.join(', ')}.`);
  const course = openCourse(file);
  await written(out, () => exportCourse(course, to, out));
  return 0;
}

async function benchPart(part: string | undefined, json: boolean): Promise<number> {
  // It brings the demo courses, which take longer to make than all else here.
  const { bench, BENCH_PARTS } = await import('./bench/bench');
  if (part !== undefined && !BENCH_PARTS.includes(part)) throw new Refusal(USAGE);
  return bench(json, part);
}

async function run(args: readonly string[]): Promise<number> {
  const { json, to, out = null, rest } = optionsOf(args);
  const [name = '', ...files] = rest;
  const command = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : null;
  if (!command) throw new Refusal(USAGE);
  const [least, most] = command.files;
  if (files.length < least || files.length > most) throw new Refusal(USAGE);
  return command.run(files, { json, to, out });
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
