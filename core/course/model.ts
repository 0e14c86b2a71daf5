import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils';
import { base64 } from '@scure/base';
import * as v from 'valibot';
import { colour, identifier, text } from './values';

/** Triangles a model has at most; heavier ones are made lighter when they are brought in. */
export const MAX_TRIANGLES = 3000;
/** Bytes of one corner of three 32-bit floats, and of one triangle of three 32-bit numbers. */
const ROW = 12;

/** A mesh brought in as scenery, packed; see formats. */
export const ModelSchema = v.looseObject({
  name: text(60),
  /** Corners as little-endian 32-bit floats, three a corner, in base 64. */
  positions: text(4_000_000),
  /** Corners of triangles as little-endian 32-bit numbers, in base 64. */
  triangles: text(4_000_000),
  colour: v.optional(colour),
});
export type Model = v.InferOutput<typeof ModelSchema>;

/** A model's mesh as numbers: three a corner, and three corners a triangle. */
export interface ModelMesh {
  readonly places: Float32Array;
  readonly corners: Uint32Array;
}

/**
 * The id of a model: 128 bits of a digest of its mesh, so that one id never stands for two meshes, whichever
 * course it comes in.
 */
export const modelId = ({ positions, triangles }: Pick<Model, 'positions' | 'triangles'>): string =>
  `m${bytesToHex(sha256(utf8ToBytes(`${positions} ${triangles}`))).slice(0, 32)}`;

/** A mesh as a model packs it. */
export const packMesh = (
  places: readonly number[],
  corners: readonly number[],
): Pick<Model, 'positions' | 'triangles'> => ({
  positions: base64.encode(new Uint8Array(Float32Array.from(places).buffer)),
  triangles: base64.encode(new Uint8Array(Uint32Array.from(corners).buffer)),
});

/**
 * A model's mesh.
 * @throws RangeError in words when its lengths are broken or a triangle has a corner that is not there
 */
export function modelMesh({ positions, triangles }: Model): ModelMesh {
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
  return { places, corners };
}

function rows(packed: string, what: string): ArrayBuffer {
  let data: Uint8Array;
  try {
    data = base64.decode(packed);
  } catch {
    throw new RangeError(`has ${what} that are not base 64`);
  }
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
