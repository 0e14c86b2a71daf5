import { CUE_TRAITS, EFFECT_TRAITS, type Piece } from '../../course';
import { cueMisfit, effectMisfit } from '../../edit';
import { type Check, type CheckRule, MOST_TOLD, pieceFinding } from '../finding';

/** Links that name a piece which cannot do its part in them. */
const misfits: Check<'misfit'> = (course) => {
  const { links = [] } = course;
  if (links.length === 0) return [];
  const pieces = new Map(course.pieces.map((piece) => [piece.id, piece]));
  const named = (ids: readonly string[] = []): Piece[] => ids.flatMap((id) => pieces.get(id) ?? []);
  const found = new Map<string, Piece>();
  const note = (reason: string | null, piece: Piece) => {
    if (reason) found.set(`${reason} A link names it all the same.`, piece);
  };
  for (const { cue, effects } of links) {
    if (CUE_TRAITS[cue.kind].ofPieces) {
      for (const piece of named(cue.pieces)) note(cueMisfit(course, cue.kind, piece), piece);
    }
    for (const { kind, pieces: ids } of effects) {
      if (!EFFECT_TRAITS[kind].onPieces) continue;
      for (const piece of named(ids)) note(effectMisfit(course, kind, piece), piece);
    }
  }
  return [...found]
    .slice(0, MOST_TOLD)
    .map(([message, piece]) => pieceFinding(piece, 'misfit', 'notice', message));
};

export const misfitRule: CheckRule<'misfit'> = { id: 'misfit', check: misfits };
