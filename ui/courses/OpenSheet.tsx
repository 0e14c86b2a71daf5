import { valibotResolver } from '@hookform/resolvers/valibot';
import { router } from 'expo-router';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import * as v from 'valibot';
import type { Course } from '@/core/course';
import { openText } from '@/core/formats';
import { Button, FormField, Sheet, Text, useFileChoice } from '../parts';
import { courseFromFile, linkSlug, OPENED } from './opened';
import { playPage } from '../device/routes';

interface OpenSheetProps {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly onCourse: (course: Course) => void;
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
    router.push(playPage(slug));
  });
  const file = useFileChoice({
    accept: OPENED,
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
        A file can also be dropped anywhere on this page. Of a drawing in SVG each closed outline
        becomes a platform.
      </Text>
    </Sheet>
  );
}
