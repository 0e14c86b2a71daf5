import type { Course } from '@/core/course';
import { pieceName } from '@/core/pieces';

/** What a piece is called in a course that may have lost it since. */
export function nameIn({ pieces }: Pick<Course, 'pieces'>, id: string): string {
  const piece = pieces.find((one) => one.id === id);
  return piece ? pieceName(piece) : 'A piece that is gone';
}
