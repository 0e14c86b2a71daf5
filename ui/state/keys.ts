// The keys under which answers are held while a page is open: whoever changes something finds here what then is stale.
// A key stands for all that begin with it.

export const KEYS = {
  me: ['me'],
  devices: ['devices'],
  recordings: ['recordings'],
  courses: ['courses'],
  course: (id: string) => ['course', id],
  /** The list of versions as of one revision, or all such lists. */
  versions: (id: string, revision?: number) =>
    revision === undefined ? ['versions', id] : ['versions', id, revision],
  version: (id: string, revision: number) => ['version', id, revision],
  notes: (id: string) => ['notes', id],
  moments: (id: string) => ['moments', id],
  bin: ['bin'],
  kits: ['kits'],
  demos: ['demos'],
  allPublished: ['published'],
  /** A published course with each of its editions, or one edition. */
  published: (slug: string, edition?: number) =>
    edition === undefined ? ['published', slug] : ['published', slug, edition],
  /** Leave to begin attempts at a published course; the attempts kept on this device. */
  leave: (slug: string) => ['leave', slug],
  attempts: (course: string) => ['attempts', course],
  /** Where tries end, on all editions of a course or on one. */
  ends: (slug: string, hash?: string) =>
    hash === undefined ? ['ends', slug] : ['ends', slug, hash],
  shownRun: (slug: string | undefined, hash: string | undefined, run: string) => [
    'shown-run',
    slug,
    hash,
    run,
  ],
  explore: ['explore'],
  explored: (asked: unknown) => ['explore', asked],
  allSeries: ['series'],
  series: (id: string | undefined) => ['series', id],
  makers: ['maker'],
  maker: (name: string) => ['maker', name],
} as const;
