import { readKit } from '@/core/assemble';
import { toCourse } from '@/core/course';
import { drawCourse, drawPieces, toSvg, type Drawing } from '@/core/formats';

/** Pixels of a picture as cards show it. */
const [WIDTH, HEIGHT] = [420, 132];
/** What covers less than so much of it is left out, square pixels. */
const LEAST = 1.2;

const svgOf = (drawing: Drawing): string => toSvg(drawing, WIDTH, HEIGHT, 14, 0.4, LEAST);

/** A course's picture, as SVG text. */
export const drawDocument = (document: string): string =>
  svgOf(drawCourse(toCourse(JSON.parse(document))));

/** An assembly's picture, as SVG text. */
export const drawKit = (document: string): string => svgOf(drawPieces(readKit(document).pieces));
