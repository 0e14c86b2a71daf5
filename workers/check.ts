import { proxy, wrap, type Remote } from 'comlink';
import type { Finding } from '@/core/check';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import type { Checker } from './check.worker';

/** Who wants to know what the check of a course finds. */
export interface CheckListener {
  readonly told: (findings: Finding[]) => void;
  /** The part of the check that is done, 0 to 1. */
  readonly progress: (part: number) => void;
  /** The check could not be begun, or broke off. */
  readonly failed: () => void;
}

interface Running {
  readonly worker: Worker;
  readonly checker: Remote<Checker>;
  /** Settles only when the worker breaks. */
  readonly broken: Promise<never>;
}

let running: Running | null = null;
let busy = false;
let waiting: { course: Course; listener: CheckListener } | null = null;

/** Checks a course in a worker; of several asked for while it is busy only the last is checked. */
export function checkInWorker(course: Course, listener: CheckListener): void {
  waiting = { course, listener };
  if (!busy) void next();
}

async function next(): Promise<void> {
  busy = true;
  while (waiting) {
    const { course, listener } = waiting;
    waiting = null;
    try {
      running ??= begin();
      const { checker, broken } = running;
      const progress = proxy((part: number) => listener.progress(part));
      listener.told(await Promise.race([checker.check(forCheck(course), progress), broken]));
    } catch {
      running?.worker.terminate();
      running = null;
      listener.failed();
    }
  }
  busy = false;
}

/**
 * Looks for the ways from mark to mark in the same worker, after the check that is under way.
 * @throws when the worker cannot be begun or breaks
 */
export async function roadsElsewhere(course: Course): Promise<Vec3[][]> {
  running ??= begin();
  const { checker, broken } = running;
  return Promise.race([checker.roads(forCheck(course)), broken]);
}

function begin(): Running {
  const worker = new Worker(new URL('./check.worker', window.location.href));
  const broken = new Promise<never>((_, reject) => {
    worker.addEventListener('error', () => reject(new Error('The check broke off.')));
  });
  broken.catch(() => {});
  return { worker, checker: wrap<Checker>(worker), broken };
}

/** A course as the check needs it: pictures weigh much and tell it nothing. */
const forCheck = ({ sketch, ...course }: Course): Course =>
  sketch ? { ...course, sketch: { ...sketch, picture: undefined } } : course;
