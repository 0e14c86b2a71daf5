import type { PropsWithChildren } from 'react';
import { View } from 'react-native';
import type { Finding } from '@/core/check';
import { nameProblem, type Course } from '@/core/course';
import { Button, Feather, Text } from '../../parts';
import { SPACE, useColours } from '../../theme';
import { CheckState } from '../parts/CheckState';
import { FindingList } from '../parts/FindingList';
import { useCheckOf } from '../open/useFindings';

/** Whether something is as it has to be; null while that is not known yet. */
type State = boolean | null;

interface ChecklistProps {
  readonly course: Course;
  /** What the maker's own finish came to, in words, where there is one. */
  readonly finished: string | undefined;
  /** It is of the course as it is now. */
  readonly fresh: boolean;
  readonly errors: readonly Finding[];
  readonly onRun: () => void;
}

/** What a run can be begun with all the same: the run itself says so. */
const RUNNABLE = new Set<string>(['start', 'goal', 'name']);
/** Findings that are listed at once. */
const MOST = 5;

/** What has to be so before the course goes out, each with the way to it. */
export function Checklist({ course, finished, fresh, errors, onRun }: ChecklistProps) {
  const { done, known, failed } = useCheckOf(course);
  const sound = errors.length > 0 ? false : done ? true : null;
  return (
    <View style={{ gap: SPACE.m }} testID="checklist">
      <Text as="strong">Before it goes out</Text>
      <Line state={nameProblem(course.name) === null}>
        <Text>{nameProblem(course.name) ?? 'It has a name.'}</Text>
      </Line>
      <Line state={sound}>
        {errors.length === 0 ? (
          <>
            {!failed && <Text>{known || done ? 'No errors found.' : 'Being checked …'}</Text>}
            <CheckState />
          </>
        ) : (
          <FindingList findings={errors} most={MOST} />
        )}
      </Line>
      <Line state={fresh}>
        {fresh && finished !== undefined ? (
          <Text testID="proof-state">
            Finished by you in <Text as="figures">{finished}</Text>, start to goal, without help.
          </Text>
        ) : (
          <Text testID="proof-state">
            {finished === undefined
              ? 'Finish the course yourself, start to goal, without help.'
              : 'The course has changed since you finished it. Run it once more, start to goal.'}
          </Text>
        )}
        {!fresh && (
          <Button
            kind="main"
            title="Run it"
            icon="play"
            onPress={onRun}
            disabled={errors.some(({ rule }) => !RUNNABLE.has(rule))}
          />
        )}
      </Line>
      {!course.welcome && !course.description && (
        <Text as="small" tint="slate">
          A welcome line and a description are not asked for; courses are found by their description
          as well.
        </Text>
      )}
    </View>
  );
}

const ICONS = { yes: 'check-circle', no: 'alert-octagon', unknown: 'clock' } as const;

/** A line of the list with its state as a sign, which is also told. */
function Line({ state, children }: PropsWithChildren<{ readonly state: State }>) {
  const colours = useColours();
  const key = state === null ? 'unknown' : state ? 'yes' : 'no';
  const colour = { yes: colours.moss, no: colours.rust, unknown: colours.slate }[key];
  const told = { yes: 'Done', no: 'To do', unknown: 'Not known yet' }[key];
  return (
    <View style={{ flexDirection: 'row', gap: SPACE.m }}>
      <View role="img" aria-label={told} style={{ paddingTop: 2 }}>
        <Feather name={ICONS[key]} size={20} color={colour} />
      </View>
      <View style={{ flex: 1, gap: SPACE.s }}>{children}</View>
    </View>
  );
}
