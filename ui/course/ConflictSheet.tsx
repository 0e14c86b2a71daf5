import { Button, Sheet, tell, Words } from '../parts';
import { api } from '../state/api';
import { useCourse, type SaveState } from '../state/courseStore';
import { dropDraft } from '../state/drafts';

/** Two places saved the same course: both versions are kept, and the maker says which goes on here. */
export function ConflictSheet() {
  const theirs = useCourse(({ save }) => (save.kind === 'conflict' ? save.theirs : null));
  return theirs && <Conflict theirs={theirs} />;
}

type Theirs = Extract<SaveState, { kind: 'conflict' }>['theirs'];

function Conflict({ theirs }: { theirs: Theirs }) {
  const { id, course, open, setSave } = useCourse();

  const keepBoth = async () => {
    try {
      await api.create({ ...course, name: `${course.name} (from here)`.slice(0, 60) });
      await takeTheirs();
      tell('Yours is now a course of its own under My courses.');
    } catch (error) {
      tell((error as Error).message);
    }
  };
  const takeTheirs = async () => {
    await dropDraft(id);
    open(id, theirs.revision, theirs.course, { kind: 'saved', at: 0 });
  };
  const keepMine = () => setSave({ kind: 'unsaved' }, theirs.revision);
  return (
    <Sheet title="Saved elsewhere too" open onClose={() => void keepBoth()}>
      <Words>
        Another tab or device saved this course after you opened it here: it has{' '}
        {theirs.course.pieces.length} pieces there and {course.pieces.length} here. Nothing is lost
        yet.
      </Words>
      <Button kind="main" title="Keep both" onPress={() => void keepBoth()} />
      <Button title="Keep what is here" onPress={keepMine} />
      <Button title="Take what is there" onPress={() => void takeTheirs()} />
    </Sheet>
  );
}
