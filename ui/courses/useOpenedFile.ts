import { useEffect, useRef } from 'react';
import type { Course } from '@/core/course';
import { showToast } from '../parts';
import { courseFromFile } from './opened';

/** Files that the device opened with the installed application (File Handling, WICG). */
interface LaunchQueue {
  setConsumer(consumer: (launched: { files: readonly FileSystemFileHandle[] }) => void): void;
}

/** Opens a course file that is dropped anywhere on the page, or opened with the installed application. */
export function useOpenedFile(onCourse: (course: Course) => void): void {
  const latest = useRef(onCourse);
  useEffect(() => {
    latest.current = onCourse;
  });
  useEffect(() => {
    const open = (file: File) =>
      courseFromFile(file)
        .then((course) => latest.current(course))
        .catch((error: Error) => showToast(error.message));
    const over = (event: DragEvent) => event.preventDefault();
    const drop = (event: DragEvent) => {
      event.preventDefault();
      const file = event.dataTransfer?.files[0];
      if (file) void open(file);
    };
    (window as { launchQueue?: LaunchQueue }).launchQueue?.setConsumer(({ files }) => {
      for (const handle of files) void handle.getFile().then(open);
    });
    window.addEventListener('dragover', over);
    window.addEventListener('drop', drop);
    return () => {
      window.removeEventListener('dragover', over);
      window.removeEventListener('drop', drop);
    };
  }, []);
}
