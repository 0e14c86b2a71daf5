import type { Course } from '@/core/course';
import { drawCourse, toSvg } from '@/core/formats';
import { DAY } from '../../theme';

/** Pixels of the picture, of the space about it and of its ink: as links are shown with. */
const [WIDTH, HEIGHT, MARGIN, INK] = [1200, 630, 48, 1];

/**
 * A course's picture as PNG, from its real geometry.
 * @throws Error in words where the browser cannot draw it
 */
export async function picturePng(course: Course): Promise<Blob> {
  const svg = toSvg(drawCourse(course), WIDTH, HEIGHT, MARGIN, INK);
  const image = new Image(WIDTH, HEIGHT);
  image.src = `data:image/svg+xml,${encodeURIComponent(svg)}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = WIDTH;
  canvas.height = HEIGHT;
  const pen = canvas.getContext('2d');
  if (!pen) throw new Error('This browser draws no pictures.');
  pen.fillStyle = DAY.shallows;
  pen.fillRect(0, 0, WIDTH, HEIGHT);
  pen.drawImage(image, 0, 0, WIDTH, HEIGHT);
  return new Promise((resolve, reject) =>
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error('The picture came out empty.'))),
      'image/png',
    ),
  );
}
