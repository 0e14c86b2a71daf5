import { useMutation, useQueryClient } from '@tanstack/react-query';
import { router } from 'expo-router';
import { MAX_NAME, type Course } from '@/core/course';
import { showToast } from '../parts';
import { api } from '../state/api';
import { documentOf, useCreateCourse } from '../state/queries';
import { dropUnsent, keepUnsent, type CourseInList } from '../state/unsent';
import { coursePage } from '../device/routes';
import { KEYS } from '../state/keys';

const say = (error: Error) => showToast(error.message);

/** What is done with whole courses; each is told when it is done, or why not. */
export function useCourseActions(onKept: () => void) {
  const client = useQueryClient();
  const create = useCreateCourse();
  /** Keeps a course as one of the maker's own, and opens it or stays. */
  const keep = (course: Course, then: 'open' | 'stay' = 'open') =>
    create.mutate(course, {
      onSuccess: ({ id }) => {
        onKept();
        if (then === 'open') router.push(coursePage(id));
        else showToast('Duplicated.');
      },
      onError: say,
    });
  const duplicate = (item: CourseInList) =>
    void documentOf(item)
      .then((course) => keep({ ...course, name: `${item.name} copy`.slice(0, MAX_NAME) }, 'stay'))
      .catch(say);
  const listAgain = () => client.invalidateQueries({ queryKey: KEYS.courses });
  const remove = useMutation({
    mutationFn: async ({ id, revision }: CourseInList) => {
      if (revision > 0) await api.remove(id);
      else await dropUnsent(id);
    },
    onSuccess: (_, { id, name, revision, here }) => {
      void listAgain();
      void client.invalidateQueries({ queryKey: KEYS.bin });
      const back = () => (revision > 0 ? api.restore('courses', id) : keepUnsent(id, here!));
      const act = () => void back().then(listAgain).catch(say);
      showToast(revision > 0 ? `${name} is in the bin.` : `${name} is gone.`, {
        label: 'Undo',
        act,
      });
    },
    onError: say,
  });
  return { keep, keeping: create.isPending, duplicate, remove: remove.mutate };
}
