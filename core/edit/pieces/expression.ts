/**
 * A typed number or simple sum: `1.5+0.25`, `3*(2-.5)`, `−4`, with a comma or a dot.
 * @returns the value, or NaN when it is none
 */
export function parseExpression(text: string): number {
  const tokens = text
    .replaceAll(',', '.')
    .replaceAll('−', '-')
    .replaceAll('×', '*')
    .match(/\d*\.?\d+|[-+*/()]|\S/g);
  if (!tokens) return NaN;
  let at = 0;
  const sum = (): number => {
    let value = product();
    while (tokens[at] === '+' || tokens[at] === '-') {
      value = tokens[at++] === '+' ? value + product() : value - product();
    }
    return value;
  };
  const product = (): number => {
    let value = factor();
    while (tokens[at] === '*' || tokens[at] === '/') {
      value = tokens[at++] === '*' ? value * factor() : value / factor();
    }
    return value;
  };
  const factor = (): number => {
    const token = tokens[at++];
    if (token === '-') return -factor();
    if (token === '+') return factor();
    if (token === '(') {
      const value = sum();
      return tokens[at++] === ')' ? value : NaN;
    }
    return token !== undefined && /^[\d.]+$/.test(token) ? Number(token) : NaN;
  };
  const value = sum();
  return at === tokens.length && Number.isFinite(value) ? value : NaN;
}
