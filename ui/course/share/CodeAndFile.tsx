import { View } from 'react-native';
import { hasPrivate } from '@/core/course';
import { fileNameOf, toCourseFile, toShareCode } from '@/core/formats';
import { Button, FileButtons, saveFile, Text, copyText } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { SPACE } from '../../theme';

/** The whole course as text or as a file, without or with what is the maker's alone. */
export function CodeAndFile() {
  const course = useCourse((s) => s.course);
  return (
    <View style={{ gap: SPACE.s }}>
      <Text as="strong">Code and file</Text>
      <Text as="small" tint="slate">
        The whole course as text to paste into a chat, or as a file. Both open under My courses.
      </Text>
      <Button
        title="Copy the code"
        icon="copy"
        onPress={() => void copyText(toShareCode(course), 'Code')}
        testID="copy-code"
      />
      <FileButtons
        title="Save the file"
        name={fileNameOf(course)}
        text={() => toCourseFile(course)}
        testID="save-file"
      />
      {hasPrivate(course) && (
        <>
          <Text as="small" tint="slate">
            Your notes and what lies under the sketch are for you alone: neither link, code nor file
            has them.
          </Text>
          <Button
            title="Save a file with my notes"
            icon="lock"
            onPress={() => saveFile(fileNameOf(course), toCourseFile(course, true))}
            testID="save-whole-file"
          />
        </>
      )}
    </View>
  );
}
