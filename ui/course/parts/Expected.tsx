import { expectationOf } from '@/core/route';
import { tideLine } from '@/core/run';
import { metres, numberText, Text } from '../../parts';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { useMeantWay } from '../open/useMeantWay';

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
  const { length, climb, time } = expectationOf(course, meant);
  return (
    <Text as="small" tint="slate" testID="expected">
      {metres(length)} {WAYS[from]}, {climb.toFixed(1)} m of climb
      {time === null
        ? '. No time: its surfaces do not lead all the way.'
        : `, about ${time.toFixed(0)} s at a run.`}{' '}
      Tide line at {numberText(Math.round(10 * tideLine(course)) / 10)} m.
    </Text>
  );
}
