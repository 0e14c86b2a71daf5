import { useState } from 'react';
import { ReportBody } from '@/core/protocol';
import { Button, Sheet } from '../parts';
import { api } from '../state/api';
import { WordsForm } from './WordsForm';

/** Tells whoever runs the server what is wrong with a course. */
export function Report({ slug, name }: { readonly slug: string; readonly name: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button
        title="Report"
        icon="flag"
        onPress={() => setOpen(true)}
        style={{ alignSelf: 'flex-start' }}
        testID="report"
      />
      <Sheet title={`Report ${name}`} open={open} onClose={() => setOpen(false)}>
        {open && (
          <WordsForm
            schema={ReportBody}
            about="Say what is wrong with its name, words or picture. A course that is only too hard is no case for a report."
            label="What is wrong"
            button="Send the report"
            said="Reported. Whoever runs this place looks at it."
            send={(words) => api.report(slug, words)}
            onDone={() => setOpen(false)}
            testID="report"
          />
        )}
      </Sheet>
    </>
  );
}
