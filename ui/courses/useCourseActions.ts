import { useMutation, useQueryClient } from '@tanstack/react-query';
import { router } from 'expo-router';
import { MAX_NAME, type Course } from '@/core/course';
import type { CourseListed } from '@/core/protocol';
import { showToast } from '../parts';
import { api } from '../state/api';
import { useCreateCourse } from '../state/queries';

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
        if (then === 'open') router.push(`/course/${id}` as never);
        else showToast('Duplicated.');
      },
      onError: say,
    });
  const duplicate = ({ id, name }: CourseListed) =>
    void api
      .course(id)
      .then(({ course }) => keep({ ...course, name: `${name} copy`.slice(0, MAX_NAME) }, 'stay'))
      .catch(say);
  const listAgain = () => client.invalidateQueries({ queryKey: ['courses'] });
  const remove = useMutation({
    mutationFn: (course: CourseListed) => api.remove(course.id),
    onSuccess: (_, { id, name }) => {
      void listAgain();
      void client.invalidateQueries({ queryKey: ['bin'] });
      const act = () => void api.restore('courses', id).then(listAgain).catch(say);
      showToast(`${name} is in the bin.`, { label: 'Undo', act });
    },
    onError: say,
  });
  return { keep, keeping: create.isPending, duplicate, remove: remove.mutate };
}
