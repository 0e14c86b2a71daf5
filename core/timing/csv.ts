import { csvOf, csvWords } from '../course';
import type { RunPart } from './parts';

/** A run as a table tells it. */
export interface CsvRun {
  readonly name: string;
  /** When it ended, ms; not known of every run. */
  readonly at: number | null;
  readonly finished: boolean;
  /** s. */
  readonly time: number;
  readonly falls: number;
  readonly parts: readonly RunPart[];
}

const HEADS = ['run', 'ended', 'finished', 'time_s', 'falls', 'part', 'clock_s', 'part_s'];

/** Runs as comma-separated values, a row for each part; a run without parts has one row. */
export function timesCsv(runs: readonly CsvRun[]): string {
  const rows = runs.flatMap(({ name, at, finished, time, falls, parts }) => {
    const run = [
      csvWords(name),
      at === null ? '' : new Date(at).toISOString(),
      finished ? 'yes' : 'no',
      time.toFixed(3),
      String(falls),
    ];
    if (parts.length === 0) return [[...run, '', '', '']];
    return parts.map((part) => [
      ...run,
      csvWords(part.name),
      part.at.toFixed(3),
      part.time.toFixed(3),
    ]);
  });
  return csvOf([HEADS, ...rows]);
}
