import type * as v from 'valibot';

/** As much of a Valibot schema as is looked into. */
interface Looked {
  readonly type: string;
  readonly entries?: Record<string, Looked>;
  readonly item?: Looked;
  readonly value?: Looked;
  readonly wrapped?: Looked;
  readonly pipe?: readonly Looked[];
}

/**
 * How many characters of JSON a value has in fields its schema does not know. Such fields are kept for later
 * versions of the program, which is no reason to let anybody store anything in them.
 */
export function unknownLength(schema: v.GenericSchema, value: unknown): number {
  return lengthBeside(schema as unknown as Looked, value);
}

function lengthBeside(schema: Looked, value: unknown): number {
  const inner = schema.wrapped ?? schema.pipe?.find(({ type }) => CONTAINERS.has(type)) ?? schema;
  if (typeof value !== 'object' || value === null) return 0;
  if (inner !== schema && inner.wrapped) return lengthBeside(inner, value);
  if (Array.isArray(value)) {
    const { item } = inner;
    return item ? value.reduce<number>((sum, one) => sum + lengthBeside(item, one), 0) : 0;
  }
  const fields = Object.entries(value as Record<string, unknown>);
  const { entries, value: each } = inner;
  if (entries) {
    return fields.reduce(
      (sum, [key, one]) =>
        sum +
        (Object.hasOwn(entries, key)
          ? lengthBeside(entries[key], one)
          : key.length + (JSON.stringify(one)?.length ?? 0)),
      0,
    );
  }
  return each ? fields.reduce((sum, [, one]) => sum + lengthBeside(each, one), 0) : 0;
}

const CONTAINERS = new Set(['array', 'loose_object', 'object', 'record']);
