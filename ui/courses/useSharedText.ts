import { router, useLocalSearchParams } from 'expo-router';
import { useEffect, useRef } from 'react';
import type { Course } from '@/core/course';
import { openText } from '@/core/formats';
import { showToast } from '../parts';
import { linkSlug } from './opened';
import { playPage, COURSES_PAGE } from '../device/routes';

/** Opens what another application handed over by the device's share sheet: a link to a course, or its code. */
export function useSharedText(onCourse: (course: Course) => void): void {
  const { text, url } = useLocalSearchParams<{ text?: string; url?: string }>();
  const latest = useRef(onCourse);
  useEffect(() => {
    latest.current = onCourse;
  });
  useEffect(() => {
    const shared = url || text;
    if (!shared) return;
    // Asked for once, also when one comes back to the page.
    router.replace(COURSES_PAGE);
    // Applications put words of their own about a link.
    const slug = shared
      .split(/\s+/)
      .map(linkSlug)
      .find((one) => one !== null);
    if (slug) return router.push(playPage(slug));
    try {
      latest.current(openText(shared));
    } catch (error) {
      showToast((error as Error).message);
    }
  }, [text, url]);
}
