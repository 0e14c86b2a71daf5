import { View } from 'react-native';
import { Button } from '../../parts';
import { SPACE } from '../../theme';

interface FinishActionsProps {
  readonly leaveLabel: string;
  readonly onAgain: () => void;
  readonly onLeave: () => void;
}

/** What can be done after any finished run. */
export function FinishActions({ leaveLabel, onAgain, onLeave }: FinishActionsProps) {
  return (
    <View style={{ flexDirection: 'row', gap: SPACE.s }}>
      <Button
        title="Again"
        icon="rotate-ccw"
        onPress={onAgain}
        style={{ flex: 1 }}
        testID="run-again"
      />
      <Button title={leaveLabel} onPress={onLeave} style={{ flex: 1.4 }} testID="run-leave" />
    </View>
  );
}
