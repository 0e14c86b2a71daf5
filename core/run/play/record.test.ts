import { readFileSync } from 'node:fs';
import path from 'node:path';
import { CORE_VERSION } from './record';

test('the docs tell the number of the simulation as the code has it', () => {
  const docs = path.join(__dirname, '../../../docs/simulation.md');
  const told = /`CORE_VERSION`, now (\d+)/.exec(readFileSync(docs, 'utf8'));
  expect(Number(told?.[1])).toBe(CORE_VERSION);
});
