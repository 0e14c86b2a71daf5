import { View } from 'react-native';
import type { Course } from '@/core/course';
import { TICKS_PER_SECOND } from '@/core/motion';
import type { HazardSheet } from '@/core/timing';
import { Text } from '../../../parts';
import { nameIn } from '../../runs/nameIn';
import { FairRow } from './FairRow';
import { byLeastSeen, comesTooSoon, passWords, sightWords } from './words';

/** Seconds of the run shown before a moment. */
const BEFORE = 1.5;

interface HazardsProps {
  readonly hazards: readonly HazardSheet[];
  readonly course: Course;
  /** Time to react, s. */
  readonly reaction: number;
  readonly onWatch: (tick: number) => void;
}

/** The hazards on the way: how long each is seen before, and how near it is passed. */
export function HazardsSeen({ hazards, course, reaction, onWatch }: HazardsProps) {
  if (hazards.length === 0)
    return (
      <Text as="small" tint="slate">
        No hazard stands by the way of this run.
      </Text>
    );
  return (
    <View testID="fair-hazards">
      {byLeastSeen(hazards).map((hazard) => (
        <FairRow
          key={hazard.piece}
          title={nameIn(course, hazard.piece)}
          fault={comesTooSoon(hazard, reaction) ? 'Comes too soon to react to.' : undefined}
          lines={[sightWords(hazard), passWords(hazard)]}
          at={hazard.tick / TICKS_PER_SECOND}
          onPress={() => onWatch(Math.max(0, hazard.tick - BEFORE * TICKS_PER_SECOND))}
        />
      ))}
    </View>
  );
}
