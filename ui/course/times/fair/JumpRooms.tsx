import { useState } from 'react';
import { View } from 'react-native';
import type { Course } from '@/core/course';
import { TICKS_PER_SECOND } from '@/core/motion';
import type { Landing } from '@/core/timing';
import { Button, Text } from '../../../parts';
import { SPACE } from '../../../theme';
import { nameIn } from '../../runs/nameIn';
import { FairRow } from './FairRow';
import { byNarrowest, roomWords, windowWords } from './words';

/** Jumps told before all are asked for. */
const FEW = 4;

interface JumpsProps {
  readonly landings: readonly Landing[];
  readonly course: Course;
  readonly onWatch: (tick: number) => void;
}

/** The room each jump leaves, the narrowest first. */
export function JumpRooms({ landings, course, onWatch }: JumpsProps) {
  const [all, setAll] = useState(false);
  if (landings.length === 0) return null;
  const told = byNarrowest(landings).slice(0, all ? undefined : FEW);
  return (
    <View style={{ gap: SPACE.xs }} testID="fair-jumps">
      <Text as="smallStrong">Jumps, the narrowest first</Text>
      {told.map((landing) => (
        <FairRow
          key={landing.press}
          title={`On ${nameIn(course, landing.piece).toLowerCase()}: ${windowWords(landing)}`}
          lines={[roomWords(landing)]}
          at={landing.press / TICKS_PER_SECOND}
          onPress={() => onWatch(landing.press)}
        />
      ))}
      {landings.length > FEW && (
        <Button
          title={all ? 'Only the narrowest' : `All ${landings.length} jumps`}
          icon={all ? 'chevron-up' : 'chevron-down'}
          onPress={() => setAll(!all)}
        />
      )}
    </View>
  );
}
