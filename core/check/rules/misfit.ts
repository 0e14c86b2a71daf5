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
  for (const { cue, effects } of links) {
    const watched = CUE_TRAITS[cue.kind].ofPieces ? named(cue.pieces) : [];
    for (const piece of watched) {
      const reason = cueMisfit(course, cue.kind, piece);
      if (reason) found.set(`${reason} A link waits for it in vain.`, piece);
    }
    for (const { kind, pieces: ids } of effects) {
      for (const piece of EFFECT_TRAITS[kind].onPieces ? named(ids) : []) {
        const reason = effectMisfit(course, kind, piece);
        if (reason) found.set(`${reason} A link tries to.`, piece);
      }
    }
  }
  return [...found]
    .slice(0, MOST_TOLD)
    .map(([message, piece]) => pieceFinding(piece, 'misfit', 'notice', message));
};

export const misfitRule: CheckRule<'misfit'> = { id: 'misfit', check: misfits };
