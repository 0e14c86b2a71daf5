import { valibotResolver } from '@hookform/resolvers/valibot';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import * as v from 'valibot';
import { CourseName, MAX_NAME } from '@/core/course';
import { Button, FormField, Sheet, showToast } from '../parts';
import { api } from '../state/api';
import type { CourseInList } from '../state/unsent';
import { ShelfForm } from './ShelfForm';
import { KEYS } from '../state/keys';

interface CourseMenuProps {
  readonly item: CourseInList | null;
  readonly onClose: () => void;
  readonly onDuplicate: (item: CourseInList) => void;
  readonly onDelete: (item: CourseInList) => void;
}

/** What is done with a whole course: rename, put into a folder, duplicate, delete. */
export function CourseMenu({ item, onClose, onDuplicate, onDelete }: CourseMenuProps) {
  return (
    <Sheet title={item?.name ?? ''} open={item !== null} onClose={onClose}>
      {item && (
        <>
          {/* What the server has not got is renamed where it is built. */}
          {!item.here && <Rename key={item.id} item={item} onDone={onClose} />}
          {item.revision > 0 && <ShelfForm key={`shelf ${item.id}`} item={item} onDone={onClose} />}
          <Button
            title="Duplicate"
            icon="copy"
            onPress={() => {
              onDuplicate(item);
              onClose();
            }}
          />
          <Button
            kind="danger"
            title="Delete"
            icon="trash-2"
            onPress={() => {
              onDelete(item);
              onClose();
            }}
          />
        </>
      )}
    </Sheet>
  );
}

const RenameForm = v.object({ name: CourseName });

function Rename({ item, onDone }: { item: CourseInList; onDone: () => void }) {
  const client = useQueryClient();
  const form = useForm({
    resolver: valibotResolver(RenameForm),
    mode: 'onChange',
    defaultValues: { name: item.name },
  });
  const rename = useMutation({
    mutationFn: async (name: string) => {
      const { revision, course } = await api.course(item.id);
      return api.save(item.id, revision, { ...course, name });
    },
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: KEYS.courses });
      void client.invalidateQueries({ queryKey: KEYS.course(item.id) });
      onDone();
    },
    onError: (error) => showToast(error.message),
  });
  return (
    <>
      <FormField control={form.control} of="name" label="Name" maxLength={MAX_NAME} />
      <Button
        kind="main"
        title="Rename"
        disabled={!form.formState.isDirty}
        busy={rename.isPending}
        onPress={form.handleSubmit(({ name }) => rename.mutate(name))}
      />
    </>
  );
}
