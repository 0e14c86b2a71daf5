import { View } from 'react-native';
import type { Course } from '@/core/course';
import { setRule } from '@/core/edit';
import { proposedPars } from '@/core/timing';
import { Button, NumberField, Text } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { useEditing } from '../../state/panelSnapshot';
import { useCourseOnServer } from '../../state/queries';
import { useReplay } from '../../state/useBest';
import { Flow, Section } from './Section';

/** The legs of a course and their pars: typed, or proposed from the proof; one that it does not meet is told. */
export function Legs() {
  const { course, edit } = useEditing();
  const legs = course.legs ?? [];
  const set = (next: Course['legs'], merge?: string) =>
    edit((now) => setRule(now, 'legs', next && next.length > 0 ? next : undefined), merge);
  return (
    <Section title="Legs">
      <Text tint="slate">
        {legs.length === 0
          ? 'One way from start to goal. With legs, each start and goal of a number is run after the one before.'
          : 'Starts and goals carry the number of their leg.'}
      </Text>
      <View>
        {legs.map((leg, i) => (
          <NumberField
            key={i}
            label={`Leg ${i + 1}, par`}
            unit=""
            step={1}
            value={leg.par ?? 0}
            onChange={(value) => {
              const { par: _, ...rest } = leg;
              const told = value < 1 ? rest : { ...rest, par: Math.round(value) };
              set(
                legs.map((old, k) => (k === i ? told : old)),
                `par ${i}`,
              );
            }}
          />
        ))}
      </View>
      {legs.length > 0 && (
        <ParsByProof
          legs={legs}
          onPropose={(pars) => set(legs.map((leg, i) => ({ ...leg, par: pars[i] })))}
        />
      )}
      <Flow>
        {legs.length < 18 && (
          <Button title="One more leg" icon="plus" onPress={() => set([...legs, { par: 3 }])} />
        )}
        {legs.length > 0 && (
          <Button title="One leg less" icon="minus" onPress={() => set(legs.slice(0, -1))} />
        )}
      </Flow>
    </Section>
  );
}

interface ParsByProofProps {
  readonly legs: NonNullable<Course['legs']>;
  readonly onPropose: (pars: readonly number[]) => void;
}

/** What the maker's proof says of the pars, where it is of the course as it is. */
function ParsByProof({ legs, onPropose }: ParsByProofProps) {
  const { course } = useEditing();
  const { data } = useCourseOnServer(useCourse((s) => s.id));
  const proof = useReplay(course, data?.proof?.run);
  if (proof?.legs.length !== legs.length) return null;
  const unmet = legs.flatMap(({ par }, i) =>
    par !== undefined && par < proof.legs[i].strokes ? [i + 1] : [],
  );
  return (
    <>
      {unmet.length > 0 && (
        <Text as="small" tint="rust" testID="pars-unmet">
          No run known here meets the par of leg {unmet.join(', ')}.
        </Text>
      )}
      <Text as="small" tint="slate">
        From my proof: the strokes it took on each leg, and one more for every three of them.
      </Text>
      <Button
        title="Propose pars"
        icon="flag"
        onPress={() => onPropose(proposedPars(proof.legs))}
        testID="propose-pars"
      />
    </>
  );
}
