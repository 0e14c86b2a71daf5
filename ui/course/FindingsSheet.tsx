import { Pressable, View } from 'react-native';
import { applyFix, type Finding } from '@/core/check';
import { Button, Feather, Sheet, Words } from '../parts';
import { useView } from '../scene';
import { useCourse } from '../state/courseStore';
import { SPACE, TARGET, useColours } from '../theme';

interface FindingsSheetProps {
  readonly open: boolean;
  readonly findings: readonly Finding[];
  readonly onClose: () => void;
}

/** What the check found: each with a way to its place and a fix where there is one. */
export function FindingsSheet({ open, findings, onClose }: FindingsSheetProps) {
  const colours = useColours();
  const { edit, choose } = useCourse.getState();
  const show = ({ at, piece }: Finding) => {
    if (at) useView.getState().look({ target: at });
    if (piece) choose([piece]);
    onClose();
  };
  return (
    <Sheet title="Findings" open={open} onClose={onClose}>
      {findings.length === 0 && (
        <Words tint="slate">Nothing found. The course has what a run needs.</Words>
      )}
      {findings.map((finding, i) => (
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
            <Words style={{ flex: 1 }}>{finding.message}</Words>
            {finding.at && <Feather name="crosshair" size={20} color={colours.slate} />}
          </Pressable>
          {finding.fix && (
            <Button
              title={finding.fix.label}
              onPress={() => {
                edit((course) => applyFix(course, finding.fix!));
                onClose();
              }}
            />
          )}
        </View>
      ))}
    </Sheet>
  );
}
