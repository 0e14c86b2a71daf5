/** A value as a table takes it: with quotes about it where it has a comma, a quote or a break (RFC 4180). */
const cell = (value: string): string =>
  /[",\r\n]/.test(value) ? `"${value.replaceAll('"', '""')}"` : value;

/**
 * Words that a table would take for a formula, told as words: with an apostrophe before them, one more where they have
 * some already.
 */
export const csvWords = (value: string): string =>
  /^'*[=+\-@\t]/.test(value) ? `'${value}` : value;

/** Rows as comma-separated values (RFC 4180). */
export const csvOf = (rows: readonly (readonly string[])[]): string =>
  rows.map((row) => `${row.map(cell).join(',')}\r\n`).join('');
