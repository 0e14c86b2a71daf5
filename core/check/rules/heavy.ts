import { type PieceGeometry, familyOf, localGeometry } from '../../pieces';
import type { Check, CheckRule, Finding } from '../finding';

/** Triangles and lights beyond which phones draw too slowly. */
export const MOST_TRIANGLES = 400_000;

export const MOST_LIGHTS = 150;

/** A scene too heavy for a phone, with what weighs most. */
const heavy: Check<'heavy'> = ({ pieces }) => {
  const weights = new Map<string, number>();
  let total = 0;
  let lights = 0;
  for (const piece of pieces) {
    const triangles = trianglesOf(localGeometry(piece));
    total += triangles;
    if (familyOf(piece.family).light) lights++;
    weights.set(piece.family, (weights.get(piece.family) ?? 0) + triangles);
  }
  const found: Finding<'heavy'>[] = [];
  if (total > MOST_TRIANGLES) {
    const [[family, most]] = [...weights].sort((a, b) => b[1] - a[1]);
    found.push({
      rule: 'heavy',
      weight: 'notice',
      message: `The scene has ${thousands(total)} triangles; ${thousands(MOST_TRIANGLES)} are quick on a phone. ${familyOf(family).label} takes ${thousands(most)} of them.`,
      piece: pieces.find((piece) => piece.family === family)?.id,
      at: pieces.find((piece) => piece.family === family)?.at,
    });
  }
  if (lights > MOST_LIGHTS) {
    found.push({
      rule: 'heavy',
      weight: 'notice',
      message: `The scene has ${lights} lights; ${MOST_LIGHTS} are enough to see by.`,
    });
  }
  return found;
};

const thousands = (n: number): string => `${Math.round(n / 1000)} thousand`;

const triangles = new WeakMap<PieceGeometry, number>();

/** Triangles a form is drawn with. */
export function trianglesOf(form: PieceGeometry): number {
  let known = triangles.get(form);
  if (known === undefined) {
    known = form.parts.reduce(
      (sum, { solid }) => sum + solid.faces.reduce((n, face) => n + face.length - 2, 0),
      0,
    );
    triangles.set(form, known);
  }
  return known;
}

export const heavyRule: CheckRule<'heavy'> = { id: 'heavy', check: heavy };
