import { useState } from 'react';
import { View } from 'react-native';
import { findingKey, takeUp } from '@/core/check';
import { Button } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { useAsideFindings } from '../open/useFindings';
import { FindingRow } from './FindingRow';

/** The findings that were put aside, folded until they are asked for; each can be shown again. */
export function AsideFindings({ onShown }: { readonly onShown?: () => void }) {
  const findings = useAsideFindings(useDebouncedCourse());
  const { edit } = useCourse.getState();
  const [open, setOpen] = useState(false);
  if (findings.length === 0) return null;
  return (
    <View>
      <Button
        title={`${findings.length} put aside`}
        icon={open ? 'chevron-down' : 'chevron-right'}
        onPress={() => setOpen(!open)}
      />
      {open &&
        findings.map((finding, i) => (
          <FindingRow
            key={`${findingKey(finding)} ${i}`}
            finding={finding}
            isFirst={i === 0}
            onShown={onShown}
          >
            <Button
              title="Show it again"
              onPress={() => edit((course) => takeUp(course, finding))}
            />
          </FindingRow>
        ))}
    </View>
  );
}
