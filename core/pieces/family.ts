import type { Material, Piece } from '../course';
import type { Polyhedron, Vec3 } from '../geometry';
import type { Motion } from '../motion';

/** What a facet is made of; the scene and the drawings have a side and a top colour for each. */
export type Tone = Material | 'thorn' | 'mover' | 'shell' | 'flag' | 'lamp';

/** What a collision shape is to the runner. */
export type Role = 'solid' | 'hazard' | 'pickup' | 'checkpoint' | 'goal';

/** A convex solid that is drawn. */
export interface Part {
  readonly solid: Polyhedron;
  readonly tone: Tone;
  /** Whether it goes with the piece's motion; parts that do not stay where the piece stands. */
  readonly moving?: boolean;
}

/** A convex shape that touches: a solid, or a ball about a point. */
export interface Shape {
  readonly role: Role;
  readonly moving?: boolean;
  readonly form:
    | { readonly kind: 'hull'; readonly solid: Polyhedron }
    | { readonly kind: 'ball'; readonly centre: Vec3; readonly radius: number };
}

/** An open end that another piece may join: a place on the rim and the heading out of it in degrees. */
export interface Socket {
  readonly at: Vec3;
  readonly heading: number;
}

/** All that is known of a piece's form, in its own frame: foot's middle at the origin. */
export interface PieceGeometry {
  readonly parts: readonly Part[];
  readonly shapes: readonly Shape[];
  readonly sockets: readonly Socket[];
  readonly motion?: Motion;
}

interface ParamBase {
  readonly key: string;
  readonly label: string;
}
export interface NumberParam extends ParamBase {
  readonly kind: 'number';
  readonly unit: 'm' | 's' | '°' | '';
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly initial: number;
}
export interface ChoiceParam extends ParamBase {
  readonly kind: 'choice';
  readonly options: readonly { readonly value: string; readonly label: string }[];
  readonly initial: string;
}
export type Param = NumberParam | ChoiceParam;

export type FamilyGroup = 'stones' | 'timber' | 'hazards' | 'movers' | 'marks';

/** A settled piece's dimensions and settings: every default filled in. */
export interface Spec {
  readonly size: Vec3;
  readonly tone: Tone;
  readonly number: (key: string) => number;
  readonly choice: (key: string) => string;
}

/** A kind of piece: its settings and the one description of its form. */
export interface Family {
  readonly id: string;
  readonly label: string;
  readonly group: FamilyGroup;
  /** Other words a maker may look for it by. */
  readonly words: string;
  readonly material: Tone;
  /** Width, height and depth when nothing else is said, metres. */
  readonly size: Vec3;
  /** Whether the size may be changed. */
  readonly sizable: boolean;
  readonly params: readonly Param[];
  readonly build: (spec: Spec) => PieceGeometry;
}

/** The piece's dimensions and settings with the family's defaults filled in. */
export function specOf(family: Family, piece: Pick<Piece, 'size' | 'params' | 'look'>): Spec {
  const value = (key: string) => {
    const given = piece.params?.[key];
    const param = family.params.find((p) => p.key === key);
    return typeof given === typeof param?.initial ? given : param?.initial;
  };
  return {
    size: piece.size && family.sizable ? piece.size : family.size,
    tone: piece.look?.material ?? family.material,
    number: (key) => value(key) as number,
    choice: (key) => value(key) as string,
  };
}
