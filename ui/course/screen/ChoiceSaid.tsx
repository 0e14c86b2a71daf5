import { View } from 'react-native';
import { chosenOf } from '@/core/edit';
import { useCourse } from '../../state/courseStore';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { Text } from '../../parts';
import { placeWords } from '../open/placeWords';
import { pieceName } from '../open/pieceWords';
import { useSaid } from '../open/said';

/** What is in hand, laid or chosen and where it stands, read out when the hand rests; not seen, as the scene shows it. */
export function ChoiceSaid() {
  const course = useDebouncedCourse();
  const choice = useCourse((s) => s.choice);
  const inHand = useCourse((s) => s.inHand);
  const laid = useSaid((s) => s.laid);
  const chosen = chosenOf(course, choice);
  const [first] = chosen;
  const words = inHand
    ? (laid ?? `In hand: ${pieceName({ ...inHand, id: '' }).toLowerCase()}`)
    : chosen.length === 0
      ? ''
      : chosen.length === 1
        ? `${pieceName(first)} chosen, at ${placeWords(first.at)}`
        : `${chosen.length} pieces chosen`;
  return (
    <View
      aria-live="polite"
      testID="choice-said"
      style={{ position: 'absolute', width: 1, height: 1, overflow: 'hidden', opacity: 0 }}
    >
      <Text>{words}</Text>
    </View>
  );
}
