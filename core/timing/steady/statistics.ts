/** Normal deviates from a source of equal ones, by the polar method (Marsaglia and Bray, 1964). */
export function normals(random: () => number): () => number {
  let spare: number | null = null;
  return () => {
    if (spare !== null) {
      const kept = spare;
      spare = null;
      return kept;
    }
    let [u, v, s] = [0, 0, 0];
    do {
      u = 2 * random() - 1;
      v = 2 * random() - 1;
      s = u * u + v * v;
    } while (s >= 1 || s === 0);
    const by = Math.sqrt((-2 * Math.log(s)) / s);
    spare = v * by;
    return u * by;
  };
}

/** The part of a normal law below a value, to 1e-7 (Abramowitz and Stegun, 26.2.17). */
export function normalBelow(x: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(x));
  const poly =
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const tail = (Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)) * poly;
  return x >= 0 ? 1 - tail : tail;
}

/** The value below which a part of a normal law lies, by halving; the part within 1e-7 and 1 - 1e-7. */
export function normalAt(part: number): number {
  let [low, high] = [-6, 6];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (normalBelow(middle) < part) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** The 95 % interval of a share, so many of so many (Wilson, 1927). */
export function wilson(count: number, of: number): { readonly low: number; readonly high: number } {
  if (of === 0) return { low: 0, high: 1 };
  const z = 1.959964;
  const p = count / of;
  const by = 1 / (1 + (z * z) / of);
  const middle = by * (p + (z * z) / (2 * of));
  const half = by * z * Math.sqrt((p * (1 - p)) / of + (z * z) / (4 * of * of));
  return { low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}
