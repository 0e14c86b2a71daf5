import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { PublishedCourse } from '@/core/protocol';
import { Chip, showToast } from '../parts';
import { api } from '../state/api';
import { KEYS } from '../state/keys';

/** Says that one likes a course, and takes that back; it is shown at once, and put right when it was not heard. */
export function Liked({ data }: { readonly data: PublishedCourse }) {
  const { slug, liked, likes } = data;
  const client = useQueryClient();
  const key = KEYS.published(slug);
  const shown = (now: Partial<PublishedCourse>) =>
    client.setQueryData<PublishedCourse>(key, (before) => before && { ...before, ...now });
  const like = useMutation({
    mutationFn: (now: boolean) => api.like(slug, now),
    onMutate: (now) => shown({ liked: now, likes: likes + (now ? 1 : -1) }),
    onSuccess: (answer) => {
      shown(answer);
      void client.invalidateQueries({ queryKey: KEYS.explore });
    },
    onError: (error) => {
      shown({ liked, likes });
      showToast(error.message);
    },
  });
  return (
    <Chip
      role="checkbox"
      label={likesWords(liked, likes)}
      on={liked}
      onPress={() => like.mutate(!liked)}
    />
  );
}

/** Whether oneself, and how many in all, like a course. */
export const likesWords = (liked: boolean, likes: number): string =>
  `${liked ? 'Liked' : 'Like'}${likes > 0 ? ` · ${likes}` : ''}`;
