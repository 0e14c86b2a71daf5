import { View } from 'react-native';
import { KIND_WORDS, Words } from '../parts';
import { useTold } from '../state/told';
import { SPACE } from '../theme';
import { Expected } from './Expected';
import { FindingList } from './FindingsSheet';
import { useFindings } from './useFindings';

/** Findings that are listed beside the course. */
const MOST = 6;

/** What is worth knowing of the course while nothing of it is chosen: its figures, and what was found. */
export function CourseGlance() {
  const course = useTold();
  const findings = useFindings(course);
  const { pieces, kind } = course;
  return (
    <View style={{ padding: SPACE.l, gap: SPACE.m }} testID="course-glance">
      <Words as="heading">The course</Words>
      <View style={{ gap: SPACE.xs }}>
        <Words>
          {KIND_WORDS[kind]}, {pieces.length} {pieces.length === 1 ? 'piece' : 'pieces'}
        </Words>
        <Expected />
      </View>
      <Words as="heading">Findings</Words>
      <View>
        <FindingList findings={findings} most={MOST} />
      </View>
      <Words as="small" tint="slate">
        Click a piece to see and set its figures. Right-drag turns the view, the wheel zooms, ?
        shows every key.
      </Words>
    </View>
  );
}
