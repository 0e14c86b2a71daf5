import Fuse from 'fuse.js';
import type { CourseInList } from '../state/unsent';

/** What of the list is looked at: all, one folder, what is in none, or what has a tag. */
export type Shown =
  { readonly kind: 'all' | 'loose' } | { readonly kind: 'folder' | 'tag'; readonly name: string };

export const ALL_SHOWN: Shown = { kind: 'all' };

/** Names of folders, and of tags, that courses have, in order, with how many have each. */
export function shelvesOf(courses: readonly CourseInList[]) {
  const folders = counted(courses.flatMap(({ folder }) => (folder === null ? [] : [folder])));
  const tags = counted(courses.flatMap((course) => course.tags));
  const loose = courses.filter(({ folder }) => folder === null).length;
  return { folders, tags, loose };
}

function counted(names: readonly string[]): { readonly name: string; readonly count: number }[] {
  const counts = new Map<string, number>();
  for (const name of names) counts.set(name, (counts.get(name) ?? 0) + 1);
  return [...counts]
    .map(([name, count]) => ({ name, count }))
    .sort((a, b) => a.name.localeCompare(b.name));
}

/** The courses of a list that are looked at. */
export function shownOf(courses: readonly CourseInList[], shown: Shown): readonly CourseInList[] {
  switch (shown.kind) {
    case 'all':
      return courses;
    case 'loose':
      return courses.filter(({ folder }) => folder === null);
    case 'folder':
      return courses.filter(({ folder }) => folder === shown.name);
    case 'tag':
      return courses.filter(({ tags }) => tags.includes(shown.name));
  }
}

/** Courses by name, folder and tags: those that are like the words, best first; all of them without any. */
export function coursesLike(all: readonly CourseInList[], words: string): readonly CourseInList[] {
  if (!words.trim()) return all;
  const keys = ['name', 'folder', 'tags'];
  return new Fuse(all, { keys, threshold: 0.4 }).search(words).map(({ item }) => item);
}

/** Tags as they are typed, one after the other with commas between them. */
export const tagsOf = (text: string): string[] => [
  ...new Set(
    text
      .split(',')
      .map((tag) => tag.trim().replace(/\s+/g, ' '))
      .filter((tag) => tag !== ''),
  ),
];
