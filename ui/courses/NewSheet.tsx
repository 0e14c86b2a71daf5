import { useState } from 'react';
import type { Course, CourseSpace } from '@/core/course';
import { Button, Choices, Field, Sheet } from '../parts';
import { freshName, starterCourse } from './starters';

interface NewSheetProps {
  readonly open: boolean;
  readonly taken: readonly string[];
  readonly busy: boolean;
  readonly onClose: () => void;
  readonly onMake: (course: Course) => void;
}

/** A new course: its name and space; it begins with a slab, a start and a goal. */
export function NewSheet({ open, taken, busy, onClose, onMake }: NewSheetProps) {
  const [name, setName] = useState<string | null>(null);
  const [space, setSpace] = useState<CourseSpace>('side-on');
  const value = name ?? freshName(taken);
  const short = value.trim().length < 3;
  return (
    <Sheet title="New course" open={open} onClose={onClose}>
      <Field
        label="Name"
        value={value}
        onChangeText={setName}
        maxLength={60}
        error={short ? 'A name needs at least three letters.' : undefined}
        testID="new-name"
      />
      <Choices
        label="Space"
        value={space}
        onChange={setSpace}
        options={[
          { value: 'side-on', label: 'Side-on' },
          { value: 'free', label: 'Free-roaming' },
        ]}
      />
      <Button
        kind="main"
        title="Begin"
        busy={busy}
        disabled={short}
        onPress={() => {
          onMake({ ...starterCourse(value.trim()), space });
          setName(null);
        }}
        testID="new-begin"
      />
    </Sheet>
  );
}
