import { emptyCourse } from '../course';
import { layPieces, type PieceInHand } from '../edit';
import { facetsOf, worldParts } from '.';

const laid = (hand: PieceInHand) =>
  layPieces(emptyCourse('Facets', 'free'), [{ family: 'start', at: [0, 0, 0] }, hand]).pieces[1];

const name = (p: readonly number[]) => p.map((v) => Math.round(v * 1e3)).join(',');

/** Of each edge that faces of one tone share, how many share it. */
function facesAtEdges(hand: PieceInHand): number[] {
  const shared = new Map<string, number>();
  for (const { points, tone } of facetsOf(worldParts(laid(hand)))) {
    points.forEach((p, i) => {
      const ends = [name(p), name(points[(i + 1) % points.length])].sort();
      const key = `${tone} ${ends.join(' ')}`;
      shared.set(key, (shared.get(key) ?? 0) + 1);
    });
  }
  return [...shared.values()];
}

const ONE_BED = ['straight', 'bend', 'banked', 'chicane', 'crest', 'dip', 'lip', 'landing', 'loop'];
const SWEPT: PieceInHand[] = [
  ...ONE_BED.map((family): PieceInHand => ({ family, at: [0, 0, 0] })),
  ...[4, 7, 13, 30].map((radius): PieceInHand => ({
    family: 'loop',
    at: [0, 0, 0],
    params: { radius },
  })),
  ...[10, 25, 45].map((bank): PieceInHand => ({
    family: 'banked',
    at: [0, 0, 0],
    params: { radius: 12, bank },
  })),
];
// A face between two stretches would be a third at its edges, and they would get ink.
test.each(SWEPT)('no face is left between the stretches of %j', (hand) => {
  const edges = facesAtEdges(hand);
  expect(edges.length).toBeGreaterThan(30);
  expect(edges.filter((n) => n !== 2)).toEqual([]);
});
