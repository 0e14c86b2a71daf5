const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;

/** An earlier version: when it was saved, and what its maker calls it, if anything. */
interface Version {
  readonly revision: number;
  /** ms. */
  readonly saved: number;
  readonly label: string | null;
}

/**
 * Which earlier versions to let go. Of the last hour of work all stay, of the last day the last of each ten
 * minutes, of the last week of each hour, before that of each day; those with a name stay for ever. Time is
 * counted back from the newest: work that rests does not melt away.
 * @param versions newest first
 * @param dense whether even the last hour is too much, and only the last of each minute of it stays
 */
export function toThin(versions: readonly Version[], dense = false): number[] {
  const newest = versions[0]?.saved ?? 0;
  const kept = new Set<string>();
  return versions.flatMap(({ revision, saved, label }, i) => {
    if (label !== null || i === 0) return [];
    const age = newest - saved;
    const slot =
      age < HOUR ? (dense ? MINUTE : 0) : age < DAY ? 10 * MINUTE : age < 7 * DAY ? HOUR : DAY;
    if (slot === 0) return [];
    const place = `${slot} ${Math.floor(saved / slot)}`;
    if (kept.has(place)) return [revision];
    kept.add(place);
    return [];
  });
}
