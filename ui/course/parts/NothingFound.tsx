import { runTime, Text } from '../../parts';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { useOwnProof } from '../open/useOwnProof';

/** What is known of a course with no finding: that is not yet that it can be finished. */
export function NothingFound() {
  const { time, fresh } = useOwnProof(useDebouncedCourse());
  const known =
    time === undefined
      ? 'Nobody has finished it yet.'
      : fresh
        ? `You finished it in ${runTime(time)}.`
        : 'It has changed since you finished it.';
  return <Text tint="slate">{`Nothing wrong found. ${known}`}</Text>;
}
