import { readKit } from '@/core/edit';
import { compareCourses, toCourse, type Course } from '@/core/course';
import { drawCourse, drawPieces, toSvg, type Drawing } from '@/core/formats';
import type { EditionChange } from '@/core/protocol';
import { courseLength } from '@/core/route';
import { wholeMarks } from './copies';
import { inTenths, lookOf, pack, shownOf } from './intake';

/** Pixels of a picture as cards show it. */
const [WIDTH, HEIGHT] = [360, 132];
/** Faces of a picture: of more the smallest would not be seen at this size. */
const MOST_FACES = 500;

const svgOf = (drawing: Drawing): string => toSvg(drawing, WIDTH, HEIGHT, 14, 0.4, MOST_FACES);

/** What is drawn of a course, as SVG text, and the length of its way, m. */
interface Drawn {
  readonly svg: string;
  readonly length: number;
}

const drawn = (course: Course): Drawn => ({
  svg: svgOf(drawCourse(course)),
  length: inTenths(courseLength(course)),
});

/** A course's picture and length. */
export const drawDocument = (document: string): Drawn => drawn(toCourse(JSON.parse(document)));

/** A course that is to be published, and what it was copied from, where that is published. */
interface ToShow {
  readonly document: string;
  readonly origin: string | null;
}

/** A course as it is published. */
interface Shown extends Drawn {
  /** As others may have it. */
  readonly document: string;
  /** Its maker's words about it. */
  readonly description: string;
  /** Marks by which copies are found; none where it may be copied. */
  readonly marks: readonly string[];
}

/** The same with the document as others may have it, and all that is told of the course. */
export function showDocument({ document, origin }: ToShow): Shown {
  const course = toCourse(JSON.parse(document));
  return {
    document: shownOf(course),
    description: course.description ?? '',
    marks: wholeMarks(course, origin === null ? null : toCourse(JSON.parse(origin))),
    ...drawn(course),
  };
}

/** What became of a course from one edition to the next, and the one before, packed. */
export function closeEdition({
  before,
  document,
}: {
  readonly before: string;
  readonly document: string;
}): { readonly changes: EditionChange; readonly packed: Uint8Array; readonly look: string } {
  const [was, is] = [before, document].map((text) => toCourse(JSON.parse(text)));
  const { added, removed, moved, changed } = compareCourses(was, is);
  const changes = {
    added: added.length,
    removed: removed.length,
    moved: moved.length,
    changed: changed.length,
  };
  return { changes, packed: pack(before), look: lookOf(before) };
}

/** An assembly's picture, as SVG text. */
export const drawKit = (document: string): string => svgOf(drawPieces(readKit(document).pieces));
