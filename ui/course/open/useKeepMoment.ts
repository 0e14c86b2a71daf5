import { useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { showToast } from '../../parts';
import { keepMoment, MOST_MOMENTS, type KeptMoment } from '../../state/moments';
import { KEYS } from '../../state/keys';

/** Keeps moments of a course to begin from again, and says whether it did. */
export function useKeepMoment(id: string): (moment: KeptMoment) => void {
  const client = useQueryClient();
  return useCallback(
    (moment) => {
      keepMoment(id, moment).then(
        (kept) => {
          void client.invalidateQueries({ queryKey: KEYS.moments(id) });
          showToast(
            kept
              ? `Kept: ${moment.name}.`
              : `${MOST_MOMENTS} moments are kept already. Let go of one first.`,
          );
        },
        () => showToast('This browser keeps nothing, so the moment is not kept.'),
      );
    },
    [client, id],
  );
}
