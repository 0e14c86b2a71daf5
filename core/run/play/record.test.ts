import { readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { CORE_VERSION, normalRun, type Run } from './record';

test('the docs tell the number of the simulation as the code has it', () => {
  const docs = path.join(__dirname, '../../../docs/simulation.md');
  const told = /`CORE_VERSION`, now (\d+)/.exec(readFileSync(docs, 'utf8'));
  expect(Number(told?.[1])).toBe(CORE_VERSION);
});

test('a run has one normal form, however it is cut and whatever comes after its end', () => {
  const stretch = fc.tuple(
    fc.integer({ min: 1, max: 30 }),
    fc.integer({ min: -2, max: 2 }),
    fc.integer({ min: -2, max: 2 }),
    fc.constantFrom(0 as const, 1 as const),
  );
  const run = (inputs: Run['inputs']) => ({ inputs }) as Run;
  const pressed = ({ inputs }: Run) =>
    inputs.flatMap(([ticks, ...what]) => Array.from({ length: ticks }, () => what.join(' ')));
  fc.assert(
    fc.property(fc.array(stretch, { maxLength: 20 }), fc.nat({ max: 300 }), (inputs, ticks) => {
      const normal = normalRun(run(inputs), ticks);
      // The same is pressed, up to its end, and no two stretches beside each other are alike.
      expect(pressed(normal)).toEqual(pressed(run(inputs)).slice(0, ticks));
      normal.inputs.forEach(([, ...what], i) => {
        if (i > 0) expect(what).not.toEqual(normal.inputs[i - 1].slice(1));
      });
      const cut = inputs.flatMap(([count, ...what]): Run['inputs'] =>
        count > 1
          ? [
              [1, ...what],
              [count - 1, ...what],
            ]
          : [[count, ...what]],
      );
      expect(normalRun(run(cut), ticks)).toEqual(normal);
      expect(normalRun(normal, ticks)).toEqual(normal);
    }),
  );
});
