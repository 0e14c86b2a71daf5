import { create } from 'zustand';
import { Button, Sheet, showToast, Text } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { useCreateCourse } from '../../state/queries';
import type { Theirs } from '../../state/saveQueue';
import { forgetEdits, keepMine } from '../../state/saving';

/** Whether the maker has put off saying which version counts. */
export const usePutOff = create<{ readonly theirs: Theirs | null }>()(() => ({ theirs: null }));

/**
 * Two places saved the same course: both versions are kept, and the maker says which goes on here. Put off,
 * nothing changes: what is here is kept on the device, and nothing is sent.
 */
export function ConflictSheet() {
  const theirs = useCourse(({ save }) => (save.kind === 'conflict' ? save.theirs : null));
  const putOff = usePutOff((s) => s.theirs);
  return theirs && theirs !== putOff && <Conflict theirs={theirs} />;
}

function Conflict({ theirs }: { theirs: Theirs }) {
  const { id, course, open } = useCourse();
  const copy = useCreateCourse();

  const keepBoth = async () => {
    try {
      await copy.mutateAsync({ ...course, name: `${course.name} (from here)`.slice(0, 60) });
      await takeTheirs();
      showToast('Yours is now a course of its own under My courses.');
    } catch (error) {
      showToast((error as Error).message);
    }
  };
  const takeTheirs = async () => {
    await forgetEdits(id);
    open(id, theirs.revision, theirs.course, { kind: 'saved', at: 0 });
  };
  return (
    <Sheet title="Saved elsewhere too" open onClose={() => usePutOff.setState({ theirs })}>
      <Text>
        Another tab or device saved this course after you opened it here: it has{' '}
        {theirs.course.pieces.length} pieces there and {course.pieces.length} here. Nothing is lost:
        until you say which counts, what is here stays on this device.
      </Text>
      <Button kind="main" title="Keep both" onPress={() => void keepBoth()} />
      <Button title="Keep what is here" onPress={() => keepMine(id)} />
      <Button title="Take what is there" onPress={() => void takeTheirs()} />
    </Sheet>
  );
}
