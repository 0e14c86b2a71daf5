import type { Piece } from '../../course';

/** Orders pieces as they were laid: by the length of their ids first, so that p2 comes before p10. */
export const asLaid = (a: Pick<Piece, 'id'>, b: Pick<Piece, 'id'>): number =>
  a.id.length - b.id.length || (a.id < b.id ? -1 : 1);
