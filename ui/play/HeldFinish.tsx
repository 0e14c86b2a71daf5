import { useState, type PropsWithChildren } from 'react';
import type { Course } from '@/core/course';
import type { RunResult } from '@/core/run';
import { Text } from '../parts';
import { effortOf } from '../run/finish/effort';
import { FinishPanel } from '../run/finish/FinishPanel';

interface HeldFinishProps {
  readonly result: RunResult;
  /** The run that went along first, where one did. */
  readonly against: { readonly name: string; readonly result: RunResult } | undefined;
  readonly course: Course;
}

/**
 * A run that has ended, held against the one that went along: once it is sent it may be one's best itself, and says
 * nothing held against that.
 */
export function HeldFinish({
  result,
  against,
  course,
  children,
}: PropsWithChildren<HeldFinishProps>) {
  const [held] = useState(against);
  return (
    <FinishPanel
      result={result}
      best={held?.result}
      targets={course.targets}
      effort={effortOf(course)}
      kind={course.kind}
    >
      {held && (
        <Text as="small" tint="slate" testID="held-against">
          Held against {held.name}.
        </Text>
      )}
      {children}
    </FinishPanel>
  );
}
