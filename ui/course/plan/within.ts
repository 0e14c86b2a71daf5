/** @throws RangeError in words when the value is no number or out of its range */
export function within(
  label: string,
  value: number,
  min: number,
  max: number,
  unit: string,
): number {
  if (!Number.isFinite(value)) throw new RangeError('That is not a number.');
  if (value < min || value > max)
    throw new RangeError(`${label} goes from ${min} to ${max} ${unit}.`);
  return Math.round(value * 1000) / 1000;
}
