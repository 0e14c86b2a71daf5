import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { CourseListed } from '@/core/protocol';
import { Button, Field, Sheet, showToast } from '../parts';
import { api } from '../state/api';

interface CourseMenuProps {
  readonly item: CourseListed | null;
  readonly onClose: () => void;
  readonly onDuplicate: (item: CourseListed) => void;
  readonly onDelete: (item: CourseListed) => void;
}

/** What is done with a whole course: rename, duplicate, delete. */
export function CourseMenu({ item, onClose, onDuplicate, onDelete }: CourseMenuProps) {
  return (
    <Sheet title={item?.name ?? ''} open={item !== null} onClose={onClose}>
      {item && (
        <>
          <Rename key={item.id} item={item} onDone={onClose} />
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

function Rename({ item, onDone }: { item: CourseListed; onDone: () => void }) {
  const client = useQueryClient();
  const [name, setName] = useState(item.name);
  const rename = useMutation({
    mutationFn: async () => {
      const { revision, course } = await api.course(item.id);
      return api.save(item.id, revision, { ...course, name: name.trim() });
    },
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: ['courses'] });
      void client.invalidateQueries({ queryKey: ['course', item.id] });
      onDone();
    },
    onError: (error) => showToast(error.message),
  });
  const short = name.trim().length < 3;
  return (
    <>
      <Field
        label="Name"
        value={name}
        onChangeText={setName}
        maxLength={60}
        error={short ? 'A name needs at least three letters.' : undefined}
      />
      <Button
        kind="main"
        title="Rename"
        disabled={short || name.trim() === item.name}
        busy={rename.isPending}
        onPress={() => rename.mutate()}
      />
    </>
  );
}
