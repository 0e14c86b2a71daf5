import { useEffect, useRef } from 'react';
import type { Course } from '@/core/course';
import { showToast } from '../parts';
import { courseFromFile } from './OpenSheet';

/** Opens a course file that is dropped anywhere on the page. */
export function useDroppedFile(onCourse: (course: Course) => void): void {
  const latest = useRef(onCourse);
  useEffect(() => {
    latest.current = onCourse;
  });
  useEffect(() => {
    const over = (event: DragEvent) => event.preventDefault();
    const drop = (event: DragEvent) => {
      event.preventDefault();
      const file = event.dataTransfer?.files[0];
      if (file) {
        courseFromFile(file)
          .then((course) => latest.current(course))
          .catch((error: Error) => showToast(error.message));
      }
    };
    window.addEventListener('dragover', over);
    window.addEventListener('drop', drop);
    return () => {
      window.removeEventListener('dragover', over);
      window.removeEventListener('drop', drop);
    };
  }, []);
}
