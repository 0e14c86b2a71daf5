import { CUE_TRAITS, EFFECT_TRAITS } from '../../course';
import type { Check, CheckRule, Finding } from '../finding';

/** Links wait for something and do something, to pieces that are there. */
const links: Check<'link'> = (course) => {
  const ids = new Set(course.pieces.map(({ id }) => id));
  return (course.links ?? []).flatMap((link): Finding<'link'>[] => {
    const fix = { label: 'Take the link away', edit: { do: 'unlink' as const, id: link.id } };
    const wrong = (message: string): Finding<'link'>[] => [
      { rule: 'link', weight: 'error', message, piece: link.cue.pieces?.[0], fix },
    ];
    const { cue, effects } = link;
    const named = [...(cue.pieces ?? []), ...effects.flatMap(({ pieces = [] }) => pieces)];
    if (named.some((id) => !ids.has(id))) return wrong('A link names a piece that is gone.');
    const { ofPieces, anyPiece } = CUE_TRAITS[cue.kind];
    if (ofPieces && !anyPiece && !cue.pieces?.length) {
      return wrong('A link waits for a piece and names none.');
    }
    if (effects.some(({ kind, pieces }) => EFFECT_TRAITS[kind].onPieces && !pieces?.length)) {
      return wrong('A link does something to pieces and names none.');
    }
    return [];
  });
};

export const linkRule: CheckRule<'link'> = { id: 'link', check: links };
