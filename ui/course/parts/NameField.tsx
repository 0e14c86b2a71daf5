import { MAX_NAME, nameProblem } from '@/core/course';
import { Field } from '../../parts';
import { useEditing } from '../../state/panelSnapshot';

/** What the course is called; what is wrong with that is said while it is typed. */
export function NameField() {
  const { course, edit } = useEditing();
  return (
    <Field
      label="Name"
      value={course.name}
      maxLength={MAX_NAME}
      error={nameProblem(course.name) ?? undefined}
      onChangeText={(name) => edit((before) => ({ ...before, name }), 'name')}
      testID="course-name"
    />
  );
}
