import { valibotResolver } from '@hookform/resolvers/valibot';
import { router } from 'expo-router';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import * as v from 'valibot';
import { MAX_COURSE_BYTES, type Course } from '@/core/course';
import { openText } from '@/core/formats';
import { Button, FormField, Sheet, Text, useFileChoice } from '../parts';

interface OpenSheetProps {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly onCourse: (course: Course) => void;
}

/** The name a play link ends in, or null when the text is no such link. */
const linkSlug = (text: string): string | null =>
  /^(?:https?:\/\/[^/\s]+)?\/play\/([a-z0-9-]+)\/?$/i.exec(text.trim())?.[1] ?? null;

/**
 * A course from a file the maker chose or dropped.
 * @throws Error in words when it is too large or no course
 */
export async function courseFromFile(file: File): Promise<Course> {
  if (file.size > MAX_COURSE_BYTES) {
    throw new Error(
      `${file.name} has ${(file.size / 1024 / 1024).toFixed(0)} MB; a course has at most 8 MB.`,
    );
  }
  return openText(await file.text());
}

const OpenForm = v.object({
  text: v.pipe(v.string(), v.trim(), v.minLength(1, 'Paste a code or a link first.')),
});

/** Opens a course from a pasted code or link, or from a file. */
export function OpenSheet({ open, onClose, onCourse }: OpenSheetProps) {
  const form = useForm({ resolver: valibotResolver(OpenForm), defaultValues: { text: '' } });

  const close = () => {
    form.clearErrors();
    onClose();
  };
  const take = (read: () => Course | Promise<Course>) => {
    form.clearErrors();
    // Reading may throw at once; within the chain that is an answer like any other.
    Promise.resolve()
      .then(read)
      .then((course) => {
        form.reset();
        onCourse(course);
      })
      .catch((problem: Error) => form.setError('text', { message: problem.message }));
  };
  const openPasted = form.handleSubmit(({ text }) => {
    const slug = linkSlug(text);
    if (!slug) return take(() => openText(text));
    close();
    router.push(`/play/${slug}` as never);
  });
  const file = useFileChoice({
    accept: '.json,.txt,application/json,text/plain',
    testID: 'open-file',
    onFile: (chosen) => take(() => courseFromFile(chosen)),
  });
  return (
    <Sheet title="Open a course" open={open} onClose={close}>
      <FormField
        control={form.control}
        of="text"
        label="Code or link"
        multiline
        placeholder="Paste it here"
        testID="open-text"
      />
      <Button kind="main" title="Open" onPress={openPasted} testID="open-go" />
      <View style={{ alignItems: 'center' }}>
        <Text as="small" tint="slate">
          or
        </Text>
      </View>
      <Button title="Choose a file" icon="file" onPress={file.choose} />
      {file.input}
      <Text as="small" tint="slate">
        A file can also be dropped anywhere on this page.
      </Text>
    </Sheet>
  );
}
