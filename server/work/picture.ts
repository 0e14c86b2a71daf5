import { readKit } from '@/core/assemble';
import { toCourse } from '@/core/course';
import { drawCourse, drawPieces, toSvg, type Drawing } from '@/core/formats';
import { courseLength } from '@/core/route';
import { inTenths } from './intake';

/** Pixels of a picture as cards show it. */
const [WIDTH, HEIGHT] = [360, 132];
/** Faces of a picture: of more the smallest would not be seen at this size. */
const MOST_FACES = 500;

const svgOf = (drawing: Drawing): string => toSvg(drawing, WIDTH, HEIGHT, 14, 0.4, MOST_FACES);

/** A course's picture, as SVG text, and the length of its way, m. */
export function drawDocument(document: string): { svg: string; length: number } {
  const course = toCourse(JSON.parse(document));
  return { svg: svgOf(drawCourse(course)), length: inTenths(courseLength(course)) };
}

/** An assembly's picture, as SVG text. */
export const drawKit = (document: string): string => svgOf(drawPieces(readKit(document).pieces));
