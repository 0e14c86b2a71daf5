import { useState } from 'react';

function same<T>(a: Iterable<T>, b: Iterable<T>): boolean {
  const rest = b[Symbol.iterator]();
  for (const value of a) {
    const next = rest.next();
    if (next.done || next.value !== value) return false;
  }
  return rest.next().done === true;
}

/** A list or set as it first was for as long as it holds the same: what is made of it need not be made anew. */
export function useSame<C extends Iterable<unknown>>(value: C): C {
  const [kept, keep] = useState(value);
  if (kept === value || same(kept, value)) return kept;
  keep(value);
  return value;
}
