import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Button, Text } from '../../parts';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { SPACE } from '../../theme';
import { useCheckOf } from '../open/useFindings';

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
