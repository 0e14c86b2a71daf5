/** Newest revisions that are all kept. */
const KEEP_ALL = 50;

/**
 * Which earlier versions to let go: all but the newest fifty, of which only the last of each day
 * stays.
 * @param revisions newest first, with the time each was saved in milliseconds
 */
export function toThin(revisions: readonly { revision: number; saved: number }[]): number[] {
  const days = new Set<number>();
  return revisions.flatMap(({ revision, saved }, place) => {
    const day = Math.floor(saved / 86_400_000);
    const lastOfDay = !days.has(day);
    days.add(day);
    return place < KEEP_ALL || lastOfDay ? [] : [revision];
  });
}
