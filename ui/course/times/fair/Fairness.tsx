import { useState } from 'react';
import { View } from 'react-native';
import type { Course } from '@/core/course';
import type { BegunRun, FairSheet } from '@/core/timing';
import { beginFair } from '@/workers/timing';
import { percent, Slider, Text } from '../../../parts';
import { SPACE } from '../../../theme';
import { AskedSection } from '../../parts/AskedSection';
import { useAskedJob } from '../../parts/useAskedJob';
import { HazardsSeen } from './HazardsSeen';
import { JumpRooms } from './JumpRooms';
import { UnfairHits } from './UnfairHits';
import { MOST_HIDDEN, REACTION } from './words';

/** Longest time to react that can be asked for, s. */
const MOST_REACTION = 1;

interface FairnessProps {
  readonly id: string;
  readonly course: Course;
  readonly begun: BegunRun;
  /** Shows the run at a tick. */
  readonly onWatch: (tick: number) => void;
}

/** What of a course is fair to a run of it, when asked for. */
export function Fairness({ id, course, begun, onWatch }: FairnessProps) {
  const job = useAskedJob((progress) => beginFair(course, begun, progress));
  return (
    <AskedSection
      title="How fair"
      words="How long hazards are seen before one comes to them, how near they are passed, what room jumps leave, and hits that cannot be seen."
      button="Look as players do"
      icon="eye"
      doing="Looking through a phone and a wide screen"
      job={job}
      testID="fair"
    >
      {job.found && (
        <View style={{ alignSelf: 'stretch', gap: SPACE.m }} testID="fair-found">
          <UnfairHits id={id} course={course} hits={job.found.unfair} onWatch={onWatch} />
          <Found found={job.found} course={course} onWatch={onWatch} />
        </View>
      )}
    </AskedSection>
  );
}

function Found({
  found,
  course,
  onWatch,
}: Pick<FairnessProps, 'course' | 'onWatch'> & { readonly found: FairSheet }) {
  const [reaction, setReaction] = useState(REACTION);
  const { hidden, hazards, landings } = found;
  const bad = Math.max(hidden.phone, hidden.wide) > MOST_HIDDEN;
  const words = `${Math.round(reaction * 1000)} ms`;
  return (
    <>
      <Text as="small" tint={bad ? 'rust' : undefined}>
        {`The runner is hidden for ${percent(hidden.phone)} of the run on a phone, ${percent(hidden.wide)} on a wide screen.`}
      </Text>
      {hazards.length > 0 && (
        <View>
          <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
            <Text as="small" tint="slate">
              Time to react
            </Text>
            <Text as="smallFigures">{words}</Text>
          </View>
          <Slider
            label="Time to react"
            value={reaction / MOST_REACTION}
            step={0.05}
            words={words}
            onChange={(part) => setReaction(part * MOST_REACTION)}
            testID="fair-reaction"
          />
        </View>
      )}
      <HazardsSeen hazards={hazards} course={course} reaction={reaction} onWatch={onWatch} />
      <JumpRooms landings={landings} course={course} onWatch={onWatch} />
    </>
  );
}
