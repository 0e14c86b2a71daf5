import { Text } from '../../parts';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { useAsideFindings } from '../open/useFindings';
import { useOwnProof } from '../open/useOwnProof';

/** What is known of a course with no finding: that is not yet that it can be finished. */
export function NothingFound() {
  const course = useDebouncedCourse();
  const { finished, fresh } = useOwnProof(course);
  const found =
    useAsideFindings(course).length > 0 ? 'Nothing else found.' : 'Nothing wrong found.';
  const known =
    finished === undefined
      ? 'Nobody has finished it yet.'
      : fresh
        ? `You finished it in ${finished}.`
        : 'It has changed since you finished it.';
  return <Text tint="slate">{`${found} ${known}`}</Text>;
}
