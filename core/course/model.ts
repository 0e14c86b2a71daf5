import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils';
import { base64 } from '@scure/base';
import * as v from 'valibot';
import { colour, identifier, text } from './values';

/** Triangles a model has at most; heavier ones are made lighter when they are brought in. */
export const MAX_TRIANGLES = 3000;
/** Colours that the triangles of one model have at most. */
export const MAX_MODEL_COLOURS = 24;
/** Bytes of one corner of three 32-bit floats, and of one triangle of three 32-bit numbers. */
const ROW = 12;

/** A mesh brought in as scenery, packed; see formats. */
export const ModelSchema = v.looseObject({
  name: text(60),
  /** Corners as little-endian 32-bit floats, three a corner, in base 64. */
  positions: text(4_000_000),
  /** Corners of triangles as little-endian 32-bit numbers, in base 64. */
  triangles: text(4_000_000),
  /** Of all of it, where its triangles have none of their own. */
  colour: v.optional(colour),
  /** Colours of its triangles, and for each triangle, as a byte in base 64, which of them it has. */
  palette: v.optional(v.pipe(v.array(colour), v.minLength(1), v.maxLength(MAX_MODEL_COLOURS))),
  tints: v.optional(text(4 * Math.ceil(MAX_TRIANGLES / 3))),
});
export type Model = v.InferOutput<typeof ModelSchema>;

/** A model's mesh as numbers: three a corner, and three corners a triangle. */
export interface ModelMesh {
  readonly places: Float32Array;
  readonly corners: Uint32Array;
  /** For each triangle the place of its colour in the palette. Null where all have one colour. */
  readonly tints: Uint8Array | null;
}

/**
 * The id of a model: 128 bits of a digest of its mesh with its triangles' colours, so that one id never stands for two
 * meshes, whichever course it comes in.
 */
export const modelId = ({
  positions,
  triangles,
  palette,
  tints,
}: Pick<Model, 'positions' | 'triangles' | 'palette' | 'tints'>): string => {
  const colours = palette ? ` ${palette.join(' ')} ${tints}` : '';
  return `m${bytesToHex(sha256(utf8ToBytes(`${positions} ${triangles}${colours}`))).slice(0, 32)}`;
};

/** A mesh as a model packs it. */
export const packMesh = (
  places: readonly number[],
  corners: readonly number[],
): Pick<Model, 'positions' | 'triangles'> => ({
  positions: base64.encode(new Uint8Array(Float32Array.from(places).buffer)),
  triangles: base64.encode(new Uint8Array(Uint32Array.from(corners).buffer)),
});

/**
 * The colours of a mesh's triangles as a model keeps them.
 * @param colours of each triangle one, as #rrggbb; at most `MAX_MODEL_COLOURS` unlike ones
 */
export function packColours(
  colours: readonly string[],
): Pick<Model, 'colour' | 'palette' | 'tints'> {
  const palette = [...new Set(colours)];
  if (palette.length < 2) return palette.length === 0 ? {} : { colour: palette[0] };
  const places = new Map(palette.map((one, i) => [one, i]));
  const tints = base64.encode(Uint8Array.from(colours, (one) => places.get(one)!));
  return { palette, tints };
}

/**
 * A model's mesh.
 * @throws RangeError in words when its lengths are broken or a triangle has a corner that is not there
 */
export function modelMesh({ positions, triangles, palette, tints }: Model): ModelMesh {
  const places = new Float32Array(rows(positions, 'corners'));
  const corners = new Uint32Array(rows(triangles, 'triangles'));
  if (corners.length > 3 * MAX_TRIANGLES) {
    throw new RangeError(`has more than ${MAX_TRIANGLES} triangles`);
  }
  if (places.length > 9 * MAX_TRIANGLES) throw new RangeError('has corners no triangle can use');
  if (!places.every(Number.isFinite)) throw new RangeError('has a corner that is nowhere');
  const count = places.length / 3;
  if (!corners.every((corner) => corner < count)) {
    throw new RangeError('has a triangle with a corner that is not there');
  }
  return { places, corners, tints: tintsOf(palette, tints, corners.length / 3) };
}

function tintsOf(
  palette: Model['palette'],
  packed: Model['tints'],
  triangles: number,
): Uint8Array | null {
  if (!palette && packed === undefined) return null;
  const tints = bytes(packed ?? '', 'colours');
  if (!palette || tints.length !== triangles || !tints.every((tint) => tint < palette.length)) {
    throw new RangeError('has colours that are not those of its triangles');
  }
  return tints;
}

function bytes(packed: string, what: string): Uint8Array {
  try {
    return base64.decode(packed);
  } catch {
    throw new RangeError(`has ${what} that are not base 64`);
  }
}

function rows(packed: string, what: string): ArrayBuffer {
  const data = bytes(packed, what);
  if (data.length === 0 || data.length % ROW !== 0) throw new RangeError(`has broken ${what}`);
  return data.slice().buffer as ArrayBuffer;
}

/** What is wrong with a model under an id, or null. */
function wrongWith(id: string, model: Model): string | null {
  try {
    modelMesh(model);
  } catch (problem) {
    return (problem as Error).message;
  }
  return id === modelId(model) ? null : 'stands under an id that is not its own';
}

/** Models by their ids, each held to what it says and to the id that follows from it. */
export const ModelsSchema = v.pipe(
  v.record(identifier, ModelSchema),
  v.rawCheck(({ dataset, addIssue }) => {
    if (!dataset.typed) return;
    for (const [key, value] of Object.entries(dataset.value)) {
      const message = wrongWith(key, value);
      if (message === null) continue;
      const item = { type: 'object', origin: 'value', input: dataset.value, key, value } as const;
      addIssue({ message, path: [item] });
    }
  }),
);
