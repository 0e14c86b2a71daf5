import { wrap, type Remote } from 'comlink';
import type { Finding } from '@/core/check';
import type { Course } from '@/core/course';
import type { Checker } from './check.worker';

let checker: Remote<Checker> | undefined;
let busy = false;
let waiting: { course: Course; told: (findings: Finding[]) => void } | null = null;

/** Checks a course in a worker; of several asked for while it is busy only the last is checked. */
export function checkElsewhere(course: Course, told: (findings: Finding[]) => void): void {
  waiting = { course, told };
  if (!busy) void next();
}

async function next(): Promise<void> {
  checker ??= wrap<Checker>(new Worker(new URL('./check.worker', window.location.href)));
  while (waiting) {
    busy = true;
    const { course, told } = waiting;
    waiting = null;
    try {
      told(await checker.check(course));
    } finally {
      busy = false;
    }
  }
}
