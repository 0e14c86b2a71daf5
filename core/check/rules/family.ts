import { findFamily } from '../../pieces';
import type { Check, CheckRule } from '../finding';

const unknownFamilies: Check<'family'> = ({ pieces }) =>
  pieces
    .filter(({ family }) => !findFamily(family))
    .map((piece) => ({
      rule: 'family',
      weight: 'error',
      message: `There is no family "${piece.family}".`,
      piece: piece.id,
      at: piece.at,
    }));

export const familyRule: CheckRule<'family'> = { id: 'family', check: unknownFamilies };
