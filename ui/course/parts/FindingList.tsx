import { applyFix, fixAll, findingKey, mayPutAside, putAside, type Finding } from '@/core/check';
import { Button, Text } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { useCheckOf } from '../open/useFindings';
import { CheckState } from './CheckState';
import { FindingRow } from './FindingRow';
import { NothingFound } from './NothingFound';

interface FindingListProps {
  readonly findings: readonly Finding[];
  /** Most that are listed; of more it is said how many there are. */
  readonly most?: number;
  readonly onShown?: () => void;
}

/** What the check found: each with a way to its place, a fix where there is one, and a way to put it aside. */
export function FindingList({ findings, most = Infinity, onShown }: FindingListProps) {
  const { edit } = useCourse.getState();
  const { done } = useCheckOf(useDebouncedCourse());
  const alike = ({ rule }: Finding) => findings.filter((one) => one.rule === rule && one.fix);
  return (
    <>
      <CheckState />
      {findings.length === 0 && done && <NothingFound />}
      {findings.slice(0, most).map((finding, i) => {
        const { fix, rule } = finding;
        const [first, ...others] = alike(finding);
        return (
          <FindingRow
            key={`${findingKey(finding)} ${i}`}
            finding={finding}
            isFirst={i === 0}
            onShown={onShown}
          >
            {fix && others.length > 0 && first === finding && (
              <Button
                title={`${fix.label}, all ${others.length + 1}`}
                icon="check-square"
                onPress={() => edit((course) => fixAll(course, findings, rule))}
              />
            )}
            {fix && (
              <Button
                title={fix.label}
                onPress={() => {
                  edit((course) => applyFix(course, fix));
                  onShown?.();
                }}
              />
            )}
            {mayPutAside(finding) && (
              <Button
                title="Not a problem here"
                onPress={() => edit((course) => putAside(course, finding))}
              />
            )}
          </FindingRow>
        );
      })}
      {findings.length > most && (
        <Text as="small" tint="slate">
          And {findings.length - most} more.
        </Text>
      )}
    </>
  );
}
