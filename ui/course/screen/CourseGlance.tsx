import { KIND_WORDS } from '@/core/course';
import { useMemo } from 'react';
import { View } from 'react-native';
import { ListItem, Text } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { SPACE } from '../../theme';
import { Expected } from '../parts/Expected';
import { AsideFindings } from '../parts/AsideFindings';
import { FindingList } from '../parts/FindingList';
import { lastSteps } from './stepWords';
import { useFindings } from '../open/useFindings';

/** Findings that are listed beside the course, and steps of making. */
const [MOST, MOST_STEPS] = [6, 5];

/** What is worth knowing of the course while nothing of it is chosen: its figures, and what was found. */
export function CourseGlance() {
  const course = useDebouncedCourse();
  const findings = useFindings(course);
  const { pieces, kind } = course;
  return (
    <View style={{ padding: SPACE.l, gap: SPACE.m }} testID="course-glance">
      <Text as="heading">The course</Text>
      <View style={{ gap: SPACE.xs }}>
        <Text>
          {KIND_WORDS[kind]}, {pieces.length} {pieces.length === 1 ? 'piece' : 'pieces'}
        </Text>
        <Expected />
      </View>
      <Text as="heading">Findings</Text>
      <View>
        <FindingList findings={findings} most={MOST} />
        <AsideFindings />
      </View>
      <LastSteps />
      <Text as="small" tint="slate">
        Click a piece to see and set its figures. Right-drag turns the view, the wheel zooms, ?
        shows every key.
      </Text>
    </View>
  );
}

/** What was done last, each leading to its pieces. */
function LastSteps() {
  const { course, past, choose } = useCourse();
  const steps = useMemo(() => lastSteps(course, past, MOST_STEPS), [course, past]);
  if (steps.length === 0) return null;
  return (
    <>
      <Text as="heading">Done last</Text>
      <View testID="done-last">
        {steps.map(({ words, pieces }, i) => (
          <ListItem
            key={past.length - i}
            disabled={pieces.length === 0}
            onPress={() => choose(pieces)}
          >
            <Text style={{ flex: 1, paddingVertical: SPACE.s }}>{words}</Text>
          </ListItem>
        ))}
      </View>
    </>
  );
}
