import { fileNameOf, toCourseFile } from '@/core/formats';
import { Button, Card, saveFile, Text } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { useKeptHere } from '../../state/keptHere';
import { SPACE } from '../../theme';

/** Says that the last edits are kept nowhere, and gives them as a file. */
export function NotKept() {
  const fails = useKeptHere((kept) => kept.fails);
  const course = useCourse((state) => state.course);
  const away = useCourse(({ save }) => save.kind === 'offline' || save.kind === 'refused');
  if (!fails || !away) return null;
  return (
    <Card style={{ marginHorizontal: SPACE.s, padding: SPACE.m, gap: SPACE.s }}>
      <Text tint="rust" role="alert">
        Your last edits are kept nowhere: the server does not take them, and this browser keeps
        nothing. Save them as a file before you leave.
      </Text>
      <Button
        kind="main"
        title="Save as a file"
        icon="download"
        onPress={() => saveFile(fileNameOf(course), toCourseFile(course, true))}
        testID="save-by-hand"
      />
    </Card>
  );
}
