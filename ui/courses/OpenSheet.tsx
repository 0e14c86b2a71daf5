import { router } from 'expo-router';
import { useRef, useState } from 'react';
import { View } from 'react-native';
import { MAX_COURSE_BYTES, type Course } from '@/core/course';
import { openText } from '@/core/formats';
import { Button, Field, Sheet, Text } from '../parts';

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

/** Opens a course from a pasted code or link, or from a file. */
export function OpenSheet({ open, onClose, onCourse }: OpenSheetProps) {
  const [text, setText] = useState('');
  const [error, setError] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);

  const close = () => {
    setError(null);
    onClose();
  };
  const openPasted = () => {
    const slug = linkSlug(text);
    if (slug) {
      close();
      router.push(`/play/${slug}` as never);
      return;
    }
    take(() => Promise.resolve(openText(text)));
  };
  const take = (read: () => Promise<Course>) => {
    setError(null);
    // Reading may throw at once; within the chain that is an answer like any other.
    Promise.resolve()
      .then(read)
      .then((course) => {
        setText('');
        onCourse(course);
      })
      .catch((problem: Error) => setError(problem.message));
  };
  return (
    <Sheet title="Open a course" open={open} onClose={close}>
      <Field
        label="Code or link"
        multiline
        value={text}
        onChangeText={setText}
        placeholder="Paste it here"
        error={error ?? undefined}
        testID="open-text"
      />
      <Button
        kind="main"
        title="Open"
        disabled={!text.trim()}
        onPress={openPasted}
        testID="open-go"
      />
      <View style={{ alignItems: 'center' }}>
        <Text as="small" tint="slate">
          or
        </Text>
      </View>
      <Button title="Choose a file" icon="file" onPress={() => input.current?.click()} />
      <input
        ref={input}
        type="file"
        accept=".json,.txt,application/json,text/plain"
        data-testid="open-file"
        style={{ display: 'none' }}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) take(() => courseFromFile(file));
        }}
      />
      <Text as="small" tint="slate">
        A file can also be dropped anywhere on this page.
      </Text>
    </Sheet>
  );
}
