import type { Course } from '@/core/course';
import { AccountSheet } from '../account/AccountSheet';
import { BinSheet } from './BinSheet';
import { NewSheet } from './NewSheet';
import { OpenSheet } from './OpenSheet';

/** A sheet over the list of courses. */
export type CourseSheet = 'new' | 'open' | 'account' | 'bin';

interface CourseSheetsProps {
  readonly sheet: CourseSheet | null;
  /** Names that courses have already. */
  readonly taken: readonly string[];
  readonly busy: boolean;
  readonly onClose: () => void;
  readonly onCourse: (course: Course) => void;
}

/** All sheets over the list of courses, one of which may be open. */
export function CourseSheets({ sheet, taken, busy, onClose, onCourse }: CourseSheetsProps) {
  return (
    <>
      <NewSheet
        open={sheet === 'new'}
        taken={taken}
        busy={busy}
        onClose={onClose}
        onMake={onCourse}
      />
      <OpenSheet open={sheet === 'open'} onClose={onClose} onCourse={onCourse} />
      <BinSheet open={sheet === 'bin'} onClose={onClose} />
      <AccountSheet open={sheet === 'account'} onClose={onClose} />
    </>
  );
}
