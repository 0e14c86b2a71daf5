import * as v from 'valibot';

// What the parts of the document are made of: numbers within their limits, places, texts.

/** How far from the origin a piece may stand, metres. */
export const BOUNDS = 2000;

export const finite = v.pipe(v.number('is not a number'), v.finite('is not a finite number'));
export const between = (min: number, max: number) =>
  v.pipe(finite, v.minValue(min, `is below ${min}`), v.maxValue(max, `is above ${max}`));
export const coordinate = v.pipe(
  finite,
  v.minValue(-BOUNDS, `is below -${BOUNDS} m`),
  v.maxValue(BOUNDS, `is above ${BOUNDS} m`),
);
export const angle = v.pipe(
  finite,
  v.minValue(-360, 'is below -360°'),
  v.maxValue(360, 'is above 360°'),
);
export const extent = v.pipe(
  finite,
  v.minValue(0.05, 'is smaller than 0.05 m'),
  v.maxValue(200, 'is larger than 200 m'),
);
export const triple = <T extends typeof coordinate | typeof angle | typeof extent>(item: T) =>
  v.strictTuple([item, item, item], 'is not a list of three numbers');
export const planPoint = v.strictTuple([coordinate, coordinate], 'is not a list of two numbers');
/**
 * A list of at most so many: counted before any of its items is looked at, so that a list too long costs nothing.
 * @param item what each is
 * @param most how many there may be
 * @param words what is said of more
 */
export const boundedList = <Item extends v.GenericSchema>(
  item: Item,
  most: number,
  words = `has more than ${most}`,
) => v.pipe(v.array(v.unknown(), 'is not a list'), v.maxLength(most, words), v.array(item));
export const text = (most: number) =>
  v.pipe(v.string('is not text'), v.maxLength(most, `is longer than ${most} characters`));
export const identifier = v.pipe(
  text(64),
  v.regex(/^[A-Za-z0-9_-]+$/, 'may hold letters, digits, - and _ only'),
);
export const index = v.pipe(
  finite,
  v.integer('is not a whole number'),
  v.minValue(0, 'is below 0'),
);
export const count = (min: number, max: number) =>
  v.pipe(
    finite,
    v.integer('is not a whole number'),
    v.minValue(min, `is below ${min}`),
    v.maxValue(max, `is above ${max}`),
  );
export const seconds = v.pipe(
  finite,
  v.minValue(0.1, 'is shorter than 0.1 s'),
  v.maxValue(3600, 'is longer than an hour'),
);
/** A time that may be none at all. */
export const pause = v.pipe(
  finite,
  v.minValue(0, 'is below 0 s'),
  v.maxValue(3600, 'is longer than an hour'),
);
export const on = v.literal(true, 'is not true');
export const colour = v.pipe(
  v.string('is not text'),
  v.regex(/^#[0-9a-fA-F]{6}$/, 'is no #rrggbb colour'),
);
export const oneOf = <const T extends readonly string[]>(options: T, what: string) =>
  v.picklist(options, `is no known ${what}`);
