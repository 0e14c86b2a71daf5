import { useEffect, useState } from 'react';
import { Pressable, View } from 'react-native';
import { applyFix, type Finding } from '@/core/check';
import type { Course } from '@/core/course';
import { Button, Feather, Sheet, Text } from '../../parts';
import { useView } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { SPACE, TARGET, useColours } from '../../theme';
import { useCheckOf } from '../open/useFindings';
import { NothingFound } from './NothingFound';

interface FindingsSheetProps {
  readonly open: boolean;
  readonly findings: readonly Finding[];
  readonly onClose: () => void;
}

/** How long a check may take before it is said how far it is, ms. */
const PATIENCE = 500;

/** How far the check has got, where that takes a while; and a way on when it broke off. */
export function CheckState() {
  const { done, part, failed, again } = useCheckOf(useDebouncedCourse());
  const [slow, setSlow] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setSlow(!done), done ? 0 : PATIENCE);
    return () => clearTimeout(timer);
  }, [done]);
  if (failed) {
    return (
      <View style={{ gap: SPACE.s }}>
        <Text tint="rust">The check broke off. Your course is kept; check it again.</Text>
        <Button title="Check again" icon="refresh-cw" onPress={again} />
      </View>
    );
  }
  if (done || !slow) return null;
  return (
    <Text tint="slate" accessibilityLiveRegion="polite">
      Checking, {Math.round(part * 100)} % done …
    </Text>
  );
}

/** A course with every finding of a rule mended that has a way to be; what one mends for another is not mended twice. */
function fixAll(course: Course, findings: readonly Finding[], rule: Finding['rule']): Course {
  return findings.reduce((now, finding) => {
    if (finding.rule !== rule || !finding.fix) return now;
    try {
      return applyFix(now, finding.fix);
    } catch {
      return now;
    }
  }, course);
}

interface FindingListProps {
  readonly findings: readonly Finding[];
  /** Most that are listed; of more it is said how many there are. */
  readonly most?: number;
  readonly onShown?: () => void;
}

/** What the check found: each with a way to its place and a fix where there is one. */
export function FindingList({ findings, most = Infinity, onShown }: FindingListProps) {
  const colours = useColours();
  const { edit, choose } = useCourse.getState();
  const { done } = useCheckOf(useDebouncedCourse());
  const show = ({ at, piece }: Finding) => {
    if (at) useView.getState().look({ target: at });
    if (piece) choose([piece]);
    onShown?.();
  };
  const alike = ({ rule }: Finding) =>
    findings.filter((one) => one.rule === rule && one.fix).length;
  const isFirst = ({ rule }: Finding, i: number) =>
    findings.findIndex((one) => one.rule === rule && one.fix) === i;
  return (
    <>
      <CheckState />
      {findings.length === 0 && done && <NothingFound />}
      {findings.slice(0, most).map((finding, i) => (
        <View
          key={i}
          style={{
            borderTopWidth: i === 0 ? 0 : 1,
            borderColor: colours.line,
            paddingVertical: SPACE.s,
            gap: SPACE.s,
          }}
        >
          <Pressable
            accessibilityRole={finding.at ? 'button' : undefined}
            disabled={!finding.at}
            onPress={() => show(finding)}
            style={{ flexDirection: 'row', gap: SPACE.m, minHeight: TARGET, alignItems: 'center' }}
          >
            <Feather
              name={finding.weight === 'error' ? 'alert-octagon' : 'info'}
              size={20}
              color={finding.weight === 'error' ? colours.rust : colours.slate}
            />
            <Text style={{ flex: 1 }}>{finding.message}</Text>
            {finding.at && <Feather name="crosshair" size={20} color={colours.slate} />}
          </Pressable>
          {finding.fix && alike(finding) > 1 && isFirst(finding, i) && (
            <Button
              title={`${finding.fix.label}, all ${alike(finding)}`}
              icon="check-square"
              onPress={() => edit((course) => fixAll(course, findings, finding.rule))}
            />
          )}
          {finding.fix && (
            <Button
              title={finding.fix.label}
              onPress={() => {
                edit((course) => applyFix(course, finding.fix!));
                onShown?.();
              }}
            />
          )}
        </View>
      ))}
      {findings.length > most && (
        <Text as="small" tint="slate">
          And {findings.length - most} more.
        </Text>
      )}
    </>
  );
}

/** The same by itself. */
export function FindingsSheet({ open, findings, onClose }: FindingsSheetProps) {
  return (
    <Sheet title="Findings" open={open} onClose={onClose}>
      <FindingList findings={findings} onShown={onClose} />
    </Sheet>
  );
}
