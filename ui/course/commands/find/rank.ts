import Fuse from 'fuse.js';

/** Something the finder can find. */
export interface Findable {
  readonly label: string;
  /** Other words for it, as makers of any trade may call it. */
  readonly words?: string;
  /** It takes something away, so it is never first by accident. */
  readonly destroys?: boolean;
}

const wordsIn = (text: string): readonly string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);

/** How well one of the words looked for is met: 0 as a whole, 1 as a beginning, 2 within; Infinity not at all. */
function fit(sought: string, words: readonly string[]): number {
  let best = Infinity;
  for (const word of words) {
    if (word === sought) return 0;
    if (word.startsWith(sought)) best = Math.min(best, 1);
    else if (sought.length > 2 && word.includes(sought)) best = Math.min(best, 2);
  }
  return best;
}

/** The rank of an entry by all words looked for, the lower the better; by its label before by its other words. */
function rankOf(sought: readonly string[], { label, words = '', destroys }: Findable): number {
  const [named, also] = [wordsIn(label), wordsIn(words)];
  let rank = 0;
  let isWhole = true;
  for (const word of sought) {
    const [byName, byWord] = [fit(word, named), fit(word, also)];
    const best = Math.min(byName, byWord);
    if (best === Infinity) return Infinity;
    isWhole &&= best === 0;
    // Of labels that fit alike the one with the fewest words says it best.
    rank += 10 * best + (byName <= byWord ? Math.min(3, named.length / 2) : 4);
  }
  return destroys && !isWhole ? rank + 100 : rank;
}

/**
 * The entries that fit the words looked for, the best first; those a slip of the keys away where none fits.
 * @param query any words, in any order; all entries as they are where there are none
 */
export function found<T extends Findable>(entries: readonly T[], query: string): readonly T[] {
  const sought = wordsIn(query);
  if (sought.length === 0) return entries;
  const fitting = entries
    .map((entry) => ({ entry, rank: rankOf(sought, entry) }))
    .filter(({ rank }) => rank < Infinity)
    .sort((a, b) => a.rank - b.rank)
    .map(({ entry }) => entry);
  if (fitting.length > 0) return fitting;
  const alike = new Fuse(entries, {
    keys: [
      { name: 'label', weight: 3 },
      { name: 'words', weight: 1, getFn: ({ words = '' }) => [...wordsIn(words)] },
    ],
    threshold: 0.35,
    ignoreLocation: true,
    ignoreFieldNorm: true,
    minMatchCharLength: 2,
  }).search(query);
  return alike.map(({ item }) => item).sort((a, b) => +!!a.destroys - +!!b.destroys);
}
