import type { Course } from './schema';

/** The course without the models that none of its pieces is made of; the same course where all are used. */
export function withoutUnused(course: Course): Course {
  if (!course.models) return course;
  const used = new Set(course.pieces.map(({ params }) => params?.model));
  const all = Object.entries(course.models);
  const kept = all.filter(([id]) => used.has(id));
  if (kept.length === all.length) return course;
  const { models: _, ...rest } = course;
  return kept.length === 0 ? rest : { ...rest, models: Object.fromEntries(kept) };
}
