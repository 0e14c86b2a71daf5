/** Longest side a picture is kept with, pixels. */
const LONGEST = 1200;
/** Most bytes a picture's file may have. */
const MOST_BYTES = 20 * 1024 * 1024;

/**
 * Reads a PNG or JPEG and makes it small enough to keep with a course.
 * @throws Error in words when it is no picture or too large
 */
export async function readPicture(file: File): Promise<{ data: string; aspect: number }> {
  if (!/^image\/(png|jpeg)$/.test(file.type)) {
    throw new Error('Only PNG and JPEG pictures can be laid under a course.');
  }
  if (file.size > MOST_BYTES) throw new Error('The picture has more than 20 MB.');
  const bitmap = await createImageBitmap(file).catch(() => {
    throw new Error('The picture is cut off or cannot be read.');
  });
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(bitmap.width * scale));
  canvas.height = Math.max(1, Math.round(bitmap.height * scale));
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return { data: canvas.toDataURL('image/jpeg', 0.72), aspect: canvas.height / canvas.width };
}
