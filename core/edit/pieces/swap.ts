import type { Course, Piece } from '../../course';
import { familyOf, takesValue, type Family } from '../../pieces';
import { changePieces } from './place';

/** Floors and stones are both something to stand on, as wide as is wanted; else sizes go with the group. */
const sizedAs = ({ group }: Family): string => (group === 'stones' ? 'floors' : group);

/**
 * Swaps the chosen pieces for another family where they stand. Place, turn, name, group and paint are
 * kept; the size between families that are sized alike, and every setting that the new family takes as well.
 */
export function swapPieces(course: Course, choice: ReadonlySet<string>, to: string): Course {
  const family = familyOf(to);
  return changePieces(course, choice, (piece) => {
    const from = familyOf(piece.family);
    const size = piece.size ?? from.size;
    piece.family = to;
    const keepSize = from.sizable && family.sizable && sizedAs(from) === sizedAs(family);
    if (keepSize && size.some((v, i) => v !== family.size[i])) {
      piece.size = [size[0], size[1], size[2]];
    } else delete piece.size;
    const params = Object.entries(piece.params ?? {}).filter(([key, value]) => {
      const param = family.params.find((p) => p.key === key);
      return param !== undefined && takesValue(param, value) && value !== param.initial;
    });
    if (params.length > 0) piece.params = Object.fromEntries(params) as Piece['params'];
    else delete piece.params;
    if (family.drawn !== 'outline') delete piece.outline;
    if (family.drawn !== 'line') delete piece.line;
  });
}
