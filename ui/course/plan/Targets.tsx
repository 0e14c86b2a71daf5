import { useEffect, useRef } from 'react';
import { View } from 'react-native';
import type { Run } from '@/core/run';
import { maySteer, PROPOSAL_TRIES, proposedTargets, unmetTargets } from '@/core/timing';
import { beginSteadiness } from '@/workers/timing';
import { NumberField, runTime, Text } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { useEditing } from '../../state/panelSnapshot';
import { useCourseOnServer } from '../../state/queries';
import { useHash } from '../../state/useBest';
import { SPACE } from '../../theme';
import { AskedSection } from '../parts/AskedSection';
import { useAskedJob } from '../parts/useAskedJob';
import { within } from './within';

const TARGETS = [
  { key: 'steady', label: 'Steady' },
  { key: 'brisk', label: 'Brisk' },
  { key: 'swift', label: 'Swift' },
] as const;

/** The times to beat: typed, or proposed from the proof; one that it does not meet is told. */
export function Targets() {
  const { course, edit } = useEditing();
  const id = useCourse((s) => s.id);
  const { data } = useCourseOnServer(id);
  const hash = useHash(course);
  const proof = data?.proof;
  const holds = proof?.run.course === hash;
  const targets = course.targets ?? { steady: 60, brisk: 45, swift: 30 };
  const unmet = holds && course.targets ? unmetTargets(course.targets, proof.time) : [];
  return (
    <View style={{ gap: SPACE.s }}>
      <View>
        <Text as="smallStrong">Targets</Text>
        {TARGETS.map(({ key, label }) => (
          <NumberField
            key={key}
            label={label}
            unit="s"
            step={0.5}
            value={targets[key]}
            onChange={(value) =>
              edit(
                (before) => ({
                  ...before,
                  targets: inOrder({ ...targets, [key]: within(label, value, 0.1, 3600, 's') }),
                }),
                `target ${key}`,
              )
            }
          />
        ))}
      </View>
      {unmet.length > 0 && (
        <Text as="small" tint="rust" testID="targets-unmet">
          No run known here meets {unmet.join(' or ')}: your proof took {runTime(proof!.time)}.
        </Text>
      )}
      {holds && maySteer(course) && <Proposal key={hash} run={proof.run} time={proof.time} />}
    </View>
  );
}

/** Proposes targets from the proof, and from the falls that a hand as unsteady as people's has to expect on it. */
function Proposal({ run, time }: { readonly run: Run; readonly time: number }) {
  const { course, edit } = useEditing();
  const job = useAskedJob((progress) => beginSteadiness(course, run, [], PROPOSAL_TRIES, progress));
  const { found } = job;
  const taken = useRef<object | null>(null);
  useEffect(() => {
    if (!found || taken.current === found) return;
    taken.current = found;
    edit((before) => ({ ...before, targets: proposedTargets(time, found.falls) }));
  }, [found, time, edit]);
  return (
    <AskedSection
      title="From my proof"
      words="Swift is the proof and 2 %, brisk and 20 %; steady half as much again, and a quarter of the run for each fall to expect."
      button="Propose targets"
      icon="clock"
      doing="Trying the proof by an unsteady hand"
      job={job}
      testID="propose-targets"
    >
      {found && (
        <Text as="small" tint="slate" testID="proposed">
          {found.falls < 0.05 ? 'Hardly any falls' : `${found.falls.toFixed(1)} falls`} to expect on
          a run of {runTime(time)}.
        </Text>
      )}
    </AskedSection>
  );
}

/** @throws RangeError when a harder target is not a shorter time */
function inOrder<T extends { steady: number; brisk: number; swift: number }>(targets: T): T {
  if (targets.swift > targets.brisk || targets.brisk > targets.steady) {
    throw new RangeError('Swift is the shortest time, then brisk, then steady.');
  }
  return targets;
}
