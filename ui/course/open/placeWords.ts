import { numberText } from '../../parts';

/** A place in words, m: `x 3, y 0.4, z −2`. */
export const placeWords = (at: readonly number[]): string =>
  ['x', 'y', 'z']
    .map((axis, i) => `${axis} ${numberText(Math.round(at[i] * 100) / 100)}`)
    .join(', ');
