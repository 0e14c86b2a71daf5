import { expectationOf } from '@/core/route';
import { tideLine } from '@/core/run';
import { metres, numberText, Text } from '../../parts';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { useMeantWay } from '../open/useMeantWay';
import { useOwnProof } from '../open/useOwnProof';
import { timeWords } from './timeWords';

const WAYS = {
  track: 'along the track',
  sketch: 'along the sketch',
  road: 'over its surfaces',
  marks: 'straight from mark to mark',
};

/** Length, climb and time the runner would need, as the course is now. */
export function Expected() {
  const course = useDebouncedCourse();
  const meant = useMeantWay(course);
  const { from } = meant;
  const expected = expectationOf(course, meant);
  const { length, climb } = expected;
  const { finished, fresh } = useOwnProof(course);
  return (
    <Text as="small" tint="slate" testID="expected">
      {metres(length)} {WAYS[from]}, {climb.toFixed(1)} m of climb
      {timeWords(course.kind, expected, fresh ? finished : undefined)} Tide line at{' '}
      {numberText(Math.round(10 * tideLine(course)) / 10)} m.
    </Text>
  );
}
