import { router } from 'expo-router';
import { IconButton } from '../parts';
import type { CourseSheet } from './CourseSheets';
import { HELP_PAGE } from '../device/routes';

/** What is opened from the head of the list of courses. */
export function CoursesBar({ onOpen }: { onOpen: (sheet: CourseSheet) => void }) {
  return (
    <>
      <IconButton
        icon="folder"
        label="Open a code or file"
        onPress={() => onOpen('open')}
        testID="open-course"
      />
      <IconButton icon="trash" label="Bin" onPress={() => onOpen('bin')} testID="open-bin" />
      <IconButton
        icon="help-circle"
        label="Keys and help"
        hint="?"
        onPress={() => router.push(HELP_PAGE)}
      />
      <IconButton
        icon="user"
        label="Account and settings"
        onPress={() => onOpen('account')}
        testID="account"
      />
    </>
  );
}
