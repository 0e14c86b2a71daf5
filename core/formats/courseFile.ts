import { readCourse, withoutPrivate, type Course } from '../course';
import { fromShareCode, isShareCode } from './shareCode';

/**
 * The course as the text of a file: indented JSON, so that it can be read and compared.
 * @param whole whether what is its maker's alone goes along
 */
export const toCourseFile = (course: Course, whole = false): string =>
  `${JSON.stringify(whole ? course : withoutPrivate(course), null, 1)}\n`;

/** A file name made of the course's name. */
export const fileNameOf = (course: Course): string => `${slugOf(course.name)}.stonehop.json`;

/** Lower-case letters, digits and single dashes: for file names and links. */
export const slugOf = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 40) || 'course';

/**
 * Reads whatever a maker opens: a course file's text or a share code.
 * @throws CourseError or ShareCodeError, each with words for the maker
 */
export const openText = (text: string): Course =>
  isShareCode(text) ? fromShareCode(text) : readCourse(text);
