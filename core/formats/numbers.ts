/** Where one is in bytes being read. */
export interface Reader {
  readonly bytes: Uint8Array;
  at: number;
}

/** Writes a whole number in few bytes: its sign and its zeros at the end apart, then seven bits a byte. */
export function writeNumber(out: number[], value: number): void {
  let rest = Math.abs(value);
  let zeros = 0;
  while (rest !== 0 && rest % 10 === 0 && zeros < 7) {
    rest /= 10;
    zeros++;
  }
  let code = (rest * 8 + zeros) * 2 + (value < 0 ? 1 : 0);
  while (code >= 128) {
    out.push((code % 128) + 128);
    code = Math.floor(code / 128);
  }
  out.push(code);
}

/** How many bytes a number takes. */
export function numberCost(value: number): number {
  const out: number[] = [];
  writeNumber(out, value);
  return out.length;
}

/** @throws Error when the bytes end within a number */
export function readNumber(reader: Reader): number {
  let code = 0;
  let scale = 1;
  for (;;) {
    if (reader.at >= reader.bytes.length || scale > 2 ** 56)
      throw new Error('The bytes end early.');
    const byte = reader.bytes[reader.at++];
    code += (byte % 128) * scale;
    if (byte < 128) break;
    scale *= 128;
  }
  const negative = code % 2 === 1;
  const rest = Math.floor(code / 2);
  const value = Math.floor(rest / 8) * 10 ** (rest % 8);
  return negative ? -value : value;
}
