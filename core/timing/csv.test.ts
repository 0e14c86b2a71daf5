import fc from 'fast-check';
import { timesCsv, type CsvRun } from '.';

const run = (change: Partial<CsvRun> = {}): CsvRun => ({
  name: 'Run 1',
  at: Date.UTC(2026, 5, 1),
  finished: true,
  time: 12.3456,
  falls: 1,
  parts: [
    { key: 'a 0', name: 'Cairn 1', at: 5.5, time: 5.5 },
    { key: 'goal', name: 'Lantern', at: 12.3456, time: 6.8456 },
  ],
  ...change,
});

/** Reads such a table back: the grammar of RFC 4180. */
function read(text: string): string[][] {
  const rows: string[][] = [[]];
  let value = '';
  let quoted = false;
  for (let i = 0; i < text.length; i++) {
    const c = text[i];
    if (quoted) {
      if (c !== '"') value += c;
      else if (text[i + 1] === '"') value += text[++i];
      else quoted = false;
    } else if (c === '"') quoted = true;
    else if (c === ',') {
      rows.at(-1)!.push(value);
      value = '';
    } else if (c === '\r') {
      rows.at(-1)!.push(value);
      value = '';
      rows.push([]);
      i++;
    } else value += c;
  }
  return rows.slice(0, -1);
}

test('a row for each part, the run told in each', () => {
  const [heads, first, last] = read(timesCsv([run()]));
  expect(heads).toHaveLength(8);
  expect(first).toEqual([
    ...['Run 1', '2026-06-01T00:00:00.000Z', 'yes', '12.346', '1'],
    ...['Cairn 1', '5.500', '5.500'],
  ]);
  expect(last.slice(5)).toEqual(['Lantern', '12.346', '6.846']);
});

test('a run that passed nothing has its row, the proof no date', () => {
  const rows = read(timesCsv([run({ parts: [], finished: false, at: null })]));
  expect(rows[1]).toEqual(['Run 1', '', 'no', '12.346', '1', '', '', '']);
  expect(read(timesCsv([]))).toHaveLength(1);
});

test('whatever a run is called, it is read back, and none is taken for a formula', () => {
  fc.assert(
    fc.property(fc.string(), (name) => {
      const [, row] = read(timesCsv([run({ name, parts: [] })]));
      expect(row).toHaveLength(8);
      expect(row[0].replace(/^'(?='*[=+\-@\t])/, '')).toBe(name);
      expect(/^[=+\-@\t]/.test(row[0])).toBe(false);
    }),
    { examples: [['=1+1'], ["'+"], ["''@a"], ["'quay"]] },
  );
});
