import fc from 'fast-check';
import { parseExpression } from './expression';

test.each([
  ['1.5+0.25', 1.75],
  ['3*(2-.5)', 4.5],
  ['−4', -4],
  ['2,5', 2.5],
  ['2×3', 6],
  ['10/4', 2.5],
  ['2+3*4', 14],
  ['(2+3)*4', 20],
  ['8-3-2', 3],
  ['16/4/2', 2],
  ['--3', 3],
  ['+7', 7],
  [' 1 + 1 ', 2],
])('%s is %s', (text, value) => expect(parseExpression(text)).toBeCloseTo(value, 12));

test.each(['', ' ', 'abc', '1+', '(1', '1)', '1 2', '1..2', '2m', '1e3', '**', '()', '5%'])(
  '“%s” is no number',
  (text) => expect(parseExpression(text)).toBeNaN(),
);

/** A sum as it is typed, with what it comes to. */
const { sum } = fc.letrec<{ sum: { text: string; value: number } }>((tie) => ({
  sum: fc.oneof(
    { maxDepth: 4 },
    fc.integer({ min: -99, max: 99 }).map((n) => ({ text: n < 0 ? `(${n})` : `${n}`, value: n })),
    fc.tuple(tie('sum'), fc.constantFrom('+', '-', '*'), tie('sum')).map(([a, op, b]) => ({
      text: `(${a.text}${op}${b.text})`,
      value: op === '+' ? a.value + b.value : op === '-' ? a.value - b.value : a.value * b.value,
    })),
  ),
}));

test('any sum in brackets comes to what it is', () => {
  fc.assert(
    fc.property(sum, ({ text, value }) => {
      expect(parseExpression(text)).toBeCloseTo(value, 3);
    }),
    { numRuns: 500 },
  );
});

test('whatever is typed, nothing is thrown', () => {
  fc.assert(fc.property(fc.string(), (text) => void parseExpression(text)));
});
