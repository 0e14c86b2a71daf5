import { useMutation, useQueryClient } from '@tanstack/react-query';
import { showToast } from '../../parts';
import { api } from '../../state/api';
import { useFirsts } from '../../state/firsts';
import { whenSaved } from '../../state/useOpenCourse';
import { KEYS } from '../../state/keys';

/** Publishes a course as it is once all of it is saved. */
export function usePublish(id: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async () => {
      if (!(await whenSaved()))
        throw new Error(
          'The course is not on the server yet. It is kept here; try again when it is saved.',
        );
      return api.publish(id);
    },
    onSuccess: () => {
      useFirsts.getState().note('share');
      showToast('Published. Anyone with the link can run it.');
      void client.invalidateQueries({ queryKey: KEYS.course(id) });
      void client.invalidateQueries({ queryKey: KEYS.courses });
    },
    onError: (error) => showToast(error.message),
  });
}
