import type { Piece } from '../course';

/** What a piece marks on the way: where a run begins, what it has to pass, where it ends. */
export type Mark = 'start' | 'checkpoint' | 'goal';

const FAMILY_MARKS: Readonly<Record<string, Mark>> = {
  start: 'start',
  cairn: 'checkpoint',
  lantern: 'goal',
};

/** What a piece marks, by the role it was given or else by its family; most mark nothing. */
export const markOf = ({ family, role }: Pick<Piece, 'family' | 'role'>): Mark | null =>
  role === 'checkpoint' || role === 'goal' ? role : (FAMILY_MARKS[family] ?? null);
