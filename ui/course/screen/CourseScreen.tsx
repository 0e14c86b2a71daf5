import { router } from 'expo-router';
import { CannotOpen, Fault, Loading, PHASES, type Phase } from '../../parts';
import { isNotThere } from '../../state/api';
import { useOpenCourse } from '../../state/useOpenCourse';
import { OpenCourse } from './OpenCourse';
import { COURSES_PAGE } from '../../device/routes';

interface CourseScreenProps {
  readonly id: string;
  readonly phase: string | undefined;
}

const toPhase = (phase: string | undefined): Phase =>
  PHASES.find((known) => known === phase && known !== 'run') ?? 'lay';

/** A course being built. */
export function CourseScreen({ id, phase: wanted }: CourseScreenProps) {
  const { ready, error, retry } = useOpenCourse(id);
  if (error && !ready) {
    return isNotThere(error) || error.status === 401 ? (
      <Fault
        title="This course is not here"
        words="It was deleted, or it belongs to somebody else. If it is yours, sign in with your name and passphrase."
        action={{ label: 'My courses', act: () => router.replace(COURSES_PAGE) }}
      />
    ) : (
      <CannotOpen what="The course" error={error} onRetry={retry} />
    );
  }
  if (!ready) return <Loading what="Opening the course" />;
  return <OpenCourse id={id} phase={toPhase(wanted)} />;
}
