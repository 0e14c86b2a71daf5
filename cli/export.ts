import { readFileSync, writeFileSync } from 'node:fs';
import { initWasm, Resvg } from '@resvg/resvg-wasm';
import type { Course } from '@/core/course';
import { drawCourse, toShareCode, toSvg } from '@/core/formats';
import { piecesCsv, planSvg, toGlb } from '@/core/formats/export';

/** Pixels of a picture. */
const [WIDTH, HEIGHT] = [1600, 900];

/** What a course can be written as. */
const WRITERS = {
  glb: toGlb,
  svg: (course: Course) => planSvg(course),
  csv: (course: Course) => piecesCsv(course),
  code: (course: Course) => `${toShareCode(course)}\n`,
  png: async (course: Course) => {
    await initWasm(readFileSync(require.resolve('@resvg/resvg-wasm/index_bg.wasm')));
    const svg = toSvg(drawCourse(course), WIDTH, HEIGHT, 60, 1);
    return new Resvg(svg, { background: '#CFDFDC' }).render().asPng();
  },
} satisfies Record<string, (course: Course) => string | Uint8Array | Promise<Uint8Array>>;

export const EXPORTS = Object.keys(WRITERS);

/**
 * Writes a course as something else.
 * @param to one of EXPORTS
 * @param file where to, or null for the standard output
 */
export async function exportCourse(course: Course, to: string, file: string | null): Promise<void> {
  writeOut(await WRITERS[to as keyof typeof WRITERS](course), file);
}

/** Writes to a file, or to the standard output where none is told. */
export function writeOut(written: string | Uint8Array, file: string | null): void {
  if (file !== null) writeFileSync(file, written);
  else process.stdout.write(written);
}
