import { useMemo } from 'react';
import { View } from 'react-native';
import { compareCourses, type Course, type CourseDifference } from '@/core/course';
import { Button, Card, IconButton, Text } from '../../parts';
import { ComparedMarks } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { DAY, SPACE } from '../../theme';
import { useNavigation } from '../commands/navigation';
import { useVersions, type ComparedVersion } from '../open/versionsStore';

/** The version the open course is held against, where it is. */
function useComparedHere(): ComparedVersion | null {
  const id = useCourse((s) => s.id);
  return useVersions(({ inScene }) => (inScene?.id === id ? inScene : null));
}

/** What was compared last: the scene and its key ask for the same, and a large course takes its time. */
let last: { version: Course; course: Course; difference: CourseDifference } | null = null;

function differenceOf(version: Course, course: Course): CourseDifference {
  if (last?.version !== version || last.course !== course) {
    last = { version, course, difference: compareCourses(version, course) };
  }
  return last.difference;
}

function useDifference({ version }: ComparedVersion): CourseDifference {
  const course = useDebouncedCourse();
  return useMemo(() => differenceOf(version, course), [version, course]);
}

/** Outlines in the scene about what differs from a version, where that is wanted. */
export function ComparedInScene() {
  const compared = useComparedHere();
  return compared && <Marks compared={compared} />;
}

function Marks({ compared }: { readonly compared: ComparedVersion }) {
  return <ComparedMarks difference={useDifference(compared)} />;
}

/** What the outlines in the scene mean, with a way back to the list and one to let go of them. */
export function ComparedKey() {
  const compared = useComparedHere();
  return compared && <Key compared={compared} />;
}

/** The colours of the outlines, as the scene has them whatever the light of the page. */
const COLOURS = { came: DAY.moss, gone: DAY.rust, moved: DAY.tide, changed: DAY.heather } as const;

function Key({ compared }: { readonly compared: ComparedVersion }) {
  const navigation = useNavigation();
  const { added, removed, moved, changed } = useDifference(compared);
  const { set } = useVersions.getState();
  const counts = [
    ['came', added.length],
    ['gone', removed.length],
    ['moved', moved.length],
    ['changed', changed.length],
  ] as const;
  const some = counts.filter(([, count]) => count > 0);
  return (
    <View testID="compared-key" style={{ alignSelf: 'flex-start' }}>
      <Card
        style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.xs, paddingLeft: SPACE.m }}
      >
        <View aria-live="polite" style={{ flexShrink: 1, paddingVertical: SPACE.xs }}>
          <Text as="smallStrong">Since version {compared.revision}</Text>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: SPACE.m }}>
            {some.map(([what, count]) => (
              <View key={what} style={{ flexDirection: 'row', alignItems: 'center', gap: 6 }}>
                <View
                  style={{
                    width: 10,
                    height: 10,
                    borderWidth: 2,
                    borderColor: COLOURS[what],
                  }}
                />
                <Text as="small">
                  {count} {what}
                </Text>
              </View>
            ))}
            {some.length === 0 && <Text as="small">No piece differs</Text>}
          </View>
        </View>
        <View style={{ flexDirection: 'row', alignItems: 'center', paddingVertical: SPACE.xs }}>
          <Button
            title="List"
            onPress={() => {
              navigation.to('plan');
              set({ open: true, comparing: compared.revision });
            }}
            testID="compared-list"
          />
          <IconButton
            icon="x"
            label="Leave the comparison"
            onPress={() => set({ inScene: null })}
          />
        </View>
      </Card>
    </View>
  );
}
