/** What a seeded generator keeps: any state of a run that has one. */
export interface Chance {
  /** 32 bits. */
  seed: number;
}

/** The next number from 0 to just under 1 (mulberry32 by Ettinger, 2017). Changes the seed. */
export function nextRandom(s: Chance): number {
  s.seed = (s.seed + 0x6d2b79f5) | 0;
  let t = Math.imul(s.seed ^ (s.seed >>> 15), 1 | s.seed);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
}
