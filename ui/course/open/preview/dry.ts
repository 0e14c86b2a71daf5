import { TICKS_PER_SECOND } from '@/core/motion';
import { useMemo } from 'react';
import type { Course } from '@/core/course';
import { LinkPreview, type TriggerRecord, type ManualTrigger } from '@/core/run';
import { useCourse } from '../../../state/courseStore';
import { useDebouncedCourse } from '../../../state/debouncedCourse';
import { useTune } from '../tuneStore';

let last: { course: Course; tried: readonly ManualTrigger[]; dry: LinkPreview } | null = null;

/** The dry run of a course; the scene and the panels share one, as it takes a moment to make. */
export function dryRunOf(course: Course, tried: readonly ManualTrigger[]): LinkPreview {
  const same =
    last?.course.pieces === course.pieces &&
    last.course.links === course.links &&
    last.course.tempo === course.tempo &&
    last.tried === tried;
  if (!same) last = { course, tried, dry: new LinkPreview(course, tried) };
  return last!.dry;
}

/** Whether what is played of a course is more than its motions: it has links, or throws something. */
export const isDryRun = ({ links, pieces }: Course): boolean =>
  (links?.length ?? 0) > 0 || pieces.some(({ thrower }) => thrower);

/** Whether the moment that is shown is one of a dry run. */
export function useDryRun(): boolean {
  const plays = useTune((s) => s.playing || s.at > 0);
  return useCourse((s) => plays && isDryRun(s.course));
}

/** Seconds for which a link that acted is lit. */
const LIT = 0.8;

/** Every link that acts within the minute that is played, and those of them that are lit just now. */
export function useFirings(): {
  readonly all: readonly TriggerRecord[];
  readonly lit: ReadonlySet<string>;
} {
  const dry = useDryRun();
  const course = useDebouncedCourse();
  const tried = useTune((s) => s.tried);
  const at = useTune((s) => s.at);
  const { pieces, links, tempo } = course;
  const all = useMemo(
    () => (dry ? dryRunOf(course, tried).firings : []),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [dry, pieces, links, tempo, tried],
  );
  const names = all
    .filter(({ tick }) => tick / TICKS_PER_SECOND <= at && at < tick / TICKS_PER_SECOND + LIT)
    .map(({ link }) => link);
  return { all, lit: new Set(names) };
}
