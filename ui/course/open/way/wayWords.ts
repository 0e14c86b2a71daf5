import type { Course } from '@/core/course';
import { pieceName } from '@/core/pieces';
import { runTime } from '../../../parts';
import type { SaidOfRun } from './wayStore';

/** The worst is told first. */
const GRAVITY = { ends: 0, 'other-inputs': 1, holds: 2 } as const;

/** The one of what is said that matters most: where a way ends, else the first. */
export const gravest = (said: readonly SaidOfRun[]): SaidOfRun | null =>
  said.reduce<SaidOfRun | null>(
    (worst, one) =>
      !worst || GRAVITY[one.verdict.kind] < GRAVITY[worst.verdict.kind] ? one : worst,
    null,
  );

/** What is said of a run after an edit. */
export function wayWords({ name, verdict, searching }: SaidOfRun, course: Course): string {
  switch (verdict.kind) {
    case 'holds':
      return `${name} holds as it is`;
    case 'other-inputs':
      return `${name} holds with other inputs, ${runTime(verdict.time)}`;
    case 'ends': {
      const more = searching ? '; looking for other inputs' : '';
      if (verdict.among > 1) {
        return `${name} ends here: ${verdict.among} changes together${more}`;
      }
      const piece = course.pieces.find(({ id }) => id === verdict.piece);
      if (piece) {
        return `${name} ends here: ${pieceName(piece).toLowerCase()}${more}`;
      }
      return `${name} ends here${verdict.piece === null ? '' : ': a piece is gone'}${more}`;
    }
  }
}
