/** One thing that was measured. */
export interface Figure {
  readonly key: string;
  readonly label: string;
  readonly value: number;
  readonly unit: string;
  readonly goal: string;
}

export const median = (values: number[]): number =>
  values.sort((a, b) => a - b)[values.length >> 1];
/** The value that one in a hundred exceeds. */
export const worst = (values: number[]): number =>
  values.sort((a, b) => a - b)[Math.floor(values.length * 0.99)];

/** Milliseconds that each of so many tries takes. */
export function timesOf(tries: number, run: (i: number) => void): number[] {
  return Array.from({ length: tries }, (_, i) => {
    const from = performance.now();
    run(i);
    return performance.now() - from;
  });
}
