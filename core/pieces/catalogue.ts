import type { Piece } from '../course';
import { specOf, type Family } from './family';
import { MODEL } from './models';
import {
  cairn,
  DRAWN,
  FLOORS,
  HAZARDS,
  MARKS,
  MOVERS,
  REGIONS,
  SCENERY,
  STONES,
  TIMBER,
  TRACK,
  WALLS,
} from './families';

/** Every family, in the order of the tray. */
export const FAMILIES: readonly Family[] = [
  ...FLOORS,
  ...DRAWN,
  ...STONES,
  ...TIMBER,
  ...WALLS,
  ...TRACK,
  ...HAZARDS,
  ...MOVERS,
  ...MARKS,
  ...REGIONS,
  ...SCENERY,
];

// What is brought in is found by its name, and is on no shelf.
const byId = new Map([...FAMILIES, MODEL].map((family) => [family.id, family]));

/** The family of that name, or nothing. */
export const findFamily = (id: string): Family | undefined => byId.get(id);

/**
 * The family of that name.
 * @throws Error when there is none
 */
export function familyOf(id: string): Family {
  const family = byId.get(id);
  if (!family) throw new Error(`There is no family "${id}".`);
  return family;
}

/** What a piece is called: by the name it was given, else by its family’s. */
export const pieceName = ({ name, family }: Pick<Piece, 'name' | 'family'>): string =>
  name ?? familyOf(family).label;

/** The leg a start, checkpoint or goal belongs to. */
export const legOf = ({ mark, params }: Pick<Piece, 'mark' | 'params'>): number =>
  mark?.leg ?? (typeof params?.leg === 'number' ? params.leg : 1);

/** A checkpoint's place in their order. */
export const checkpointNumber = (piece: Pick<Piece, 'mark' | 'params'>): number =>
  piece.mark?.number ?? specOf(cairn, piece).number('number');

/** Whether a return to a checkpoint has all as it was when it was reached. */
export const checkpointResets = (piece: Pick<Piece, 'mark' | 'params'>): boolean =>
  piece.mark?.resets ?? specOf(cairn, piece).choice('resets') === 'resets';
