import { useState } from 'react';
import { NoteBody } from '@/core/protocol';
import { Button, Sheet } from '../parts';
import { api } from '../state/api';
import { WordsForm } from './WordsForm';

interface NoteProps {
  readonly slug: string;
  readonly maker: string;
}

/** A word to the maker of a course. */
export function NoteToMaker({ slug, maker }: NoteProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button
        title="Write to its maker"
        icon="edit-3"
        onPress={() => setOpen(true)}
        testID="note"
      />
      <Sheet title={`To ${maker}`} open={open} onClose={() => setOpen(false)}>
        {open && (
          <WordsForm
            schema={NoteBody}
            about={`What went well, what was unfair? Only ${maker} reads it.`}
            label="Your note"
            button="Send the note"
            said={`${maker} finds it beside the course.`}
            send={(words) => api.sendNote(slug, words)}
            onDone={() => setOpen(false)}
            testID="note"
          />
        )}
      </Sheet>
    </>
  );
}
