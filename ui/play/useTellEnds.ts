import { useQueryClient } from '@tanstack/react-query';
import { MOST_ENDS } from '@/core/protocol';
import type { RunResult } from '@/core/run';
import { endsOf } from '@/core/timing';
import { useSettings } from '../device/settings';
import { api } from '../state/api';
import { KEYS } from '../state/keys';

/** Tells the server where an attempt came to its ends, where its player agreed to that. */
export function useTellEnds(slug: string) {
  const client = useQueryClient();
  const { tellEnds } = useSettings();
  return (attempt: string | undefined, result: RunResult): void => {
    if (!tellEnds || attempt === undefined) return;
    const ends = endsOf(result).map(({ at }) => at);
    if (ends.length === 0) return;
    void api
      .tellEnds(slug, attempt, ends.slice(0, MOST_ENDS))
      .then(() => client.invalidateQueries({ queryKey: KEYS.ends(slug) }))
      // What is told for others' sake keeps nobody from running.
      .catch(() => {});
  };
}
