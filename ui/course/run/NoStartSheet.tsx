import { addStart } from '@/core/check';
import { Button, Sheet, Text } from '../../parts';
import { useCourse } from '../../state/courseStore';

/** Says that a run needs a start, and lays one. */
export function NoStartSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Sheet title="The course has no start" open={open} onClose={onClose}>
      <Text>
        A run begins at a start. One can be laid on the piece furthest to the left; you can move it
        afterwards.
      </Text>
      <Button
        kind="main"
        title="Lay a start"
        icon="flag"
        onPress={() => {
          useCourse.getState().edit(addStart);
          onClose();
        }}
      />
    </Sheet>
  );
}
