import type { Allowance, Material, Piece } from '../course';
import type { Polyhedron, Swept, Vec3 } from '../geometry';
import type { Slide, Spin, Swing } from '../motion';

/** What a facet is made of: a material, a tone of the catalogue's own, or a colour as `#rrggbb`. */
export type Tone = Material | NamedTone | `#${string}`;
export type NamedTone =
  | 'thorn'
  | 'mover'
  | 'shell'
  | 'flag'
  | 'lamp'
  | 'leaf'
  | 'pine'
  | 'reed'
  | 'mud'
  | 'steam'
  | 'water'
  | 'beam'
  | 'sail'
  | 'tar';

/** What a collision shape is to the runner. */
export type Role =
  'solid' | 'hazard' | 'pickup' | 'checkpoint' | 'goal' | 'portal' | 'switch' | 'region';

/** What a region does to a runner within it. Directions are the piece's own. */
export type Field =
  | { readonly kind: 'touch' }
  | { readonly kind: 'quiet' }
  | { readonly kind: 'hurt' }
  | { readonly kind: 'fall' }
  /** Change of speed along a direction, m/s²; with `top`, up to that speed, whatever is usual. */
  | { readonly kind: 'push'; readonly along: Vec3; readonly force: number; readonly top?: number }
  /** Part of the usual top speed, or of the usual hold on the ground. */
  | { readonly kind: 'slow'; readonly part: number }
  | { readonly kind: 'slip'; readonly part: number }
  /** Speed at which it throws off the ground, m/s. */
  | { readonly kind: 'bounce'; readonly speed: number }
  /** Times the usual weight, pulling along a direction. */
  | { readonly kind: 'gravity'; readonly along: Vec3; readonly part: number }
  /** Change of speed towards a place, m/s²; away from it where it is less than 0. */
  | { readonly kind: 'pull'; readonly towards: Vec3; readonly force: number }
  /** Change of speed round an axis, m/s², the way a right-hand screw turns that goes along it. */
  | { readonly kind: 'swirl'; readonly about: Vec3; readonly axis: Vec3; readonly force: number }
  | { readonly kind: 'size'; readonly part: number }
  /** Worth gathered each second. */
  | { readonly kind: 'points'; readonly rate: number }
  | {
      readonly kind: 'camera';
      readonly camera: 'side' | 'behind' | 'above';
      readonly distance: number;
    };

/** The surface of a solid: its bounce, its grip, the pace it allows, and the height it throws to. */
export interface Surface {
  /** Part of the speed it is met at that is given back, whatever meets it; none where what meets it decides. */
  readonly bounce?: number;
  /** Part of the usual change of speed on the ground. */
  readonly grip?: number;
  /** Part of the usual top speed. */
  readonly pace?: number;
  /** Height that it throws up to, m. */
  readonly throws?: number;
}

/** A solid that is drawn, convex unless it says otherwise. */
export interface Part {
  readonly solid: Polyhedron;
  readonly tone: Tone;
  /** Whether it goes with the piece's motion; parts that do not stay where the piece stands. */
  readonly moving?: boolean;
  /** A closed solid that is not convex. */
  readonly mesh?: boolean;
  /** Drawn while building only. */
  readonly unseen?: boolean;
}

/** A convex shape that touches: a solid, or a ball about a point. */
export interface Shape {
  readonly role: Role;
  readonly moving?: boolean;
  readonly surface?: Surface;
  /** Gives way some time after it was stood on, or is away while its gate is open. */
  readonly lock?: 'gives' | 'barred';
  readonly field?: Field;
  /** Larger or smaller than drawn by its own measure, whatever its piece's is. */
  readonly allowance?: Allowance;
  readonly form:
    /** A convex solid, rounded by so much all about; and what balls meet of it, where its faces stand for a curve. */
    | {
        readonly kind: 'hull';
        readonly solid: Polyhedron;
        readonly round?: number;
        readonly swept?: Swept;
      }
    | { readonly kind: 'ball'; readonly centre: Vec3; readonly radius: number };
}

/**
 * An open end that another piece may join: its middle on the top, and the heading out of it in
 * degrees. Ends join ends of their own kind first: track to track, rim to anything.
 */
export interface Socket {
  readonly at: Vec3;
  readonly heading: number;
  /** Degrees by which the way out of the end rises. */
  readonly pitch?: number;
  readonly kind: 'track' | 'rim' | 'wall';
}

/** How a part of a family moves within its piece. */
export type OwnMotion = Slide | Swing | Spin;

/** All that is known of a piece's form, in its own frame: foot's middle at the origin. */
export interface PieceGeometry {
  /** Whether it only stands in for what is not known here: it may be known another time. */
  readonly standsIn?: true;
  readonly parts: readonly Part[];
  readonly shapes: readonly Shape[];
  readonly sockets: readonly Socket[];
  readonly motion?: OwnMotion;
  /** Height of the foot out of which what moves comes up, m: nothing of it is there below. */
  readonly mouth?: number;
}

interface ParamBase {
  readonly key: string;
  readonly label: string;
}
export type Unit = 'm' | 's' | '°' | 'm/s' | 'm/s²' | '×' | '';
export interface NumberParam extends ParamBase {
  readonly kind: 'number';
  readonly unit: Unit;
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
export interface TextParam extends ParamBase {
  readonly kind: 'text';
  /** Words that are only read: no run feels them. */
  readonly words?: true;
  readonly initial: string;
}
/** Any of a few at once, kept as a number with a bit for each in their order. */
export interface SeveralParam extends ParamBase {
  readonly kind: 'several';
  readonly options: readonly string[];
  readonly initial: number;
}
export type Param = NumberParam | ChoiceParam | TextParam | SeveralParam;

/** Whether a setting may have a value. */
export function takesValue(param: Param, value: string | number): boolean {
  switch (param.kind) {
    case 'number':
      return typeof value === 'number' && value >= param.min && value <= param.max;
    case 'choice':
      return param.options.some((option) => option.value === value);
    case 'several':
      return (
        Number.isInteger(value) && Number(value) >= 0 && Number(value) < 1 << param.options.length
      );
    case 'text':
      return typeof value === 'string';
  }
}

/** Groups of families, in the order of the tray. */
export const FAMILY_GROUPS = [
  'floors',
  'stones',
  'timber',
  'walls',
  'track',
  'hazards',
  'movers',
  'marks',
  'regions',
  'scenery',
] as const;
export type FamilyGroup = (typeof FAMILY_GROUPS)[number];

/** A settled piece's dimensions and settings: every default filled in. */
export interface Spec {
  readonly size: Vec3;
  readonly tone: Tone;
  readonly number: (key: string) => number;
  readonly choice: (key: string) => string;
  /** What the maker drew for it, of families that are drawn. */
  readonly outline?: NonNullable<Piece['outline']>;
  readonly line?: NonNullable<Piece['line']>;
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
  /** Families that come from a drawn outline or line; their own tools lay them. */
  readonly drawn?: 'outline' | 'line';
  /** What a pickup is worth. */
  readonly worth?: number;
  /** What it is to the runner, where its group does not say. */
  readonly does?: string;
  /** Whether it is a box, whose edges may be pulled to make a cut block of it. */
  readonly box?: true;
  /** Whether it shines: so many lights are too many. */
  readonly light?: true;
  /** Whether its picture has a direction, which neighbours should share. */
  readonly patterned?: true;
  readonly build: (spec: Spec) => PieceGeometry;
}

/** The piece's dimensions and settings with the family's defaults filled in. */
export function specOf(
  family: Family,
  piece: Pick<Piece, 'size' | 'params' | 'look' | 'outline' | 'line'>,
): Spec {
  const value = (key: string) => {
    const given = piece.params?.[key];
    const param = family.params.find((p) => p.key === key);
    return typeof given === typeof param?.initial ? given : param?.initial;
  };
  return {
    size: piece.size && family.sizable ? piece.size : family.size,
    tone: (piece.look?.colour as Tone) ?? piece.look?.material ?? family.material,
    number: (key) => value(key) as number,
    choice: (key) => value(key) as string,
    outline: piece.outline,
    line: piece.line,
  };
}
