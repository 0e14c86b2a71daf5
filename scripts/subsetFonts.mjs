// Fonts come with letters of many scripts and with signs for programs; of the pages' first load they would be a sixth.
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import subsetFont from 'subset-font';

/** Letters that are kept, from and to: Latin with its additions, points, signs of sums, arrows. Others the device has. */
const KEPT = [
  [0x20, 0x24f],
  [0x2b0, 0x36f],
  [0x1e00, 0x1eff],
  [0x2000, 0x22ff],
];

const letters = () =>
  KEPT.map(([from, to]) =>
    Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i)).join(''),
  ).join('');

/** The type faces among a folder's files; signs that are drawn as letters are left whole. */
function* typeFaces(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const file = path.join(folder, entry.name);
    if (entry.isDirectory()) yield* typeFaces(file);
    else if (entry.name.endsWith('.ttf') && !file.includes('vector-icons')) yield file;
  }
}

/** Leaves of the fonts of built pages what the pages write with; one that would come out no smaller stays as it is. */
export async function subsetFonts(web) {
  for (const file of typeFaces(path.join(web, 'assets'))) {
    const part = await subsetFont(readFileSync(file), letters(), { targetFormat: 'sfnt' });
    if (part.length < statSync(file).size) writeFileSync(file, part);
  }
}
