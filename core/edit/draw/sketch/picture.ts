import type { Course, Sketch } from '../../../course';
import { cosDeg, distance, sinDeg, type Vec3 } from '../../../geometry';
import { roundToStored, wrapTurn } from '../../pieces/place';
import { noSketch, withSketch } from './lines';

type Picture = NonNullable<Sketch['picture']>;

/** Narrowest and widest a picture may lie, m. */
const [NARROWEST, WIDEST] = [0.5, 4000];

/** Lays a picture under the sketch, or takes it away. */
export function setSketchPicture(course: Course, picture: Picture | null): Course {
  const { picture: _, ...rest } = course.sketch ?? noSketch;
  return withSketch(course, picture ? { ...rest, picture } : (rest as Sketch));
}

/** How strongly the picture is shown while building, 0 to 1; apart from what is drawn over it. */
export function setPictureShown(course: Course, shown: number): Course {
  const picture = course.sketch?.picture;
  return picture ? setSketchPicture(course, { ...picture, shown }) : course;
}

/** A change of a picture that lies there: shifted, then turned and sized about a place. */
export interface PictureMove {
  readonly about: Vec3;
  readonly by: Vec3;
  /** Times its width. */
  readonly factor: number;
  /** Degrees, to the left on the map; none for an upright picture, which only stands. */
  readonly turn: number;
}

/** Moves, turns and sizes the picture as fingers do that lie on it. */
export function movePicture(course: Course, { about, by, factor, turn }: PictureMove): Course {
  const picture = course.sketch?.picture;
  if (!picture) return course;
  const width = Math.min(WIDEST, Math.max(NARROWEST, picture.width * factor));
  const k = width / picture.width;
  const degrees = picture.upright ? 0 : turn;
  const [c, s] = [cosDeg(degrees), sinDeg(degrees)];
  const [x, y, z] = [0, 1, 2].map((i) => (picture.at[i] - about[i]) * k);
  const turned = [x * c + z * s, y, z * c - x * s];
  const { turn: before = 0, ...rest } = picture;
  const heading = wrapTurn(before + degrees);
  return setSketchPicture(course, {
    ...rest,
    ...(heading === 0 ? {} : { turn: heading }),
    width: roundToStored(width),
    at: [0, 1, 2].map((i) => roundToStored(about[i] + turned[i] + by[i])) as [
      number,
      number,
      number,
    ],
  });
}

/**
 * Sizes the picture by two places on it that are known to be so far apart; the first stays where it is.
 * @param course the course as it is; it stays so
 * @param a one place of the picture in the world, m
 * @param b another, m
 * @param metres how far apart they are in truth
 * @throws RangeError when the places are one, or the length is none
 */
export function scalePicture(course: Course, a: Vec3, b: Vec3, metres: number): Course {
  const picture = course.sketch?.picture;
  if (!picture) return course;
  const now = distance(a, b);
  if (!(metres > 0) || !Number.isFinite(metres))
    throw new RangeError('The length has to be above 0 m.');
  if (now < 0.01) throw new RangeError('Touch two places that lie apart.');
  const factor = metres / now;
  const width = picture.width * factor;
  if (width < NARROWEST || width > WIDEST)
    throw new RangeError('The picture would be 0.5 to 4000 m wide at most.');
  return movePicture(course, { about: a, by: [0, 0, 0], factor, turn: 0 });
}
