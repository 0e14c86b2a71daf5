import { valibotResolver } from '@hookform/resolvers/valibot';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import * as v from 'valibot';
import { FolderName, MOST_TAGS, ShelfBody, type Shelf } from '@/core/protocol';
import { Button, FormField } from '../parts';
import { api } from '../state/api';
import type { CourseInList } from '../state/unsent';
import { tagsOf } from './shelves';
import { KEYS } from '../state/keys';

/** A folder's name or none, and tags with commas between them. */
const ShelfFields = v.object({
  folder: v.lazy((input) =>
    typeof input === 'string' && input.trim() === '' ? v.pipe(v.string(), v.trim()) : FolderName,
  ),
  tags: v.pipe(
    v.string(),
    v.check(
      (text) => v.is(ShelfBody.entries.tags, tagsOf(text)),
      `A course has at most ${MOST_TAGS} tags of 24 letters.`,
    ),
  ),
});

interface ShelfFormProps {
  readonly item: CourseInList;
  readonly onDone: () => void;
}

/** Puts a course into a folder and under tags, which only its maker sees. */
export function ShelfForm({ item, onDone }: ShelfFormProps) {
  const client = useQueryClient();
  const form = useForm({
    resolver: valibotResolver(ShelfFields),
    mode: 'onChange',
    defaultValues: { folder: item.folder ?? '', tags: item.tags.join(', ') },
  });
  const keep = useMutation({
    mutationFn: (shelf: Shelf) => api.shelve(item.id, shelf),
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: KEYS.courses });
      onDone();
    },
    onError: (error) => form.setError('folder', { message: error.message }),
  });
  return (
    <>
      <FormField
        control={form.control}
        of="folder"
        label="Folder"
        maxLength={40}
        placeholder="In none"
        testID="shelf-folder"
      />
      <FormField
        control={form.control}
        of="tags"
        label="Tags, with commas between them"
        maxLength={200}
        testID="shelf-tags"
      />
      <Button
        title="Keep it there"
        icon="folder"
        disabled={!form.formState.isDirty}
        busy={keep.isPending}
        onPress={form.handleSubmit(({ folder, tags }) =>
          keep.mutate({ folder: folder || null, tags: tagsOf(tags) }),
        )}
        testID="shelf-keep"
      />
    </>
  );
}
