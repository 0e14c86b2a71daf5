import { useWindowDimensions, View } from 'react-native';
import { Button } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { usePanelSnapshot } from '../../state/panelSnapshot';
import { SPACE, WIDE } from '../../theme';
import { ChoiceCard } from '../lay/cards/ChoiceCard';
import { HandCard } from '../lay/cards/HandCard';
import { useLay } from '../open/laying';
import { FirstHint } from './FirstHint';
import { useOpen } from '../open/openStore';

/** The tray's card: the piece in hand, else the chosen one, else a way to run from here. */
export function HandOrChoice({ onTune, onRunHere }: { onTune: () => void; onRunHere: () => void }) {
  const inHand = useCourse((s) => s.inHand !== null);
  const chosen = usePanelSnapshot((s) => s.choice.size > 0);
  const tool = useLay((s) => s.tool);
  const { width } = useWindowDimensions();
  const pivoting = useLay((s) => s.pivot !== null);
  if (pivoting) {
    return (
      <Button
        title="Ring about here"
        kind="main"
        icon="check"
        testID="pivot-done"
        onPress={() => useOpen.getState().open('copies')}
      />
    );
  }
  if (inHand) return <HandCard />;
  if (tool !== 'pieces' && !chosen) return null;
  if (chosen && width < WIDE && tool !== 'wall' && tool !== 'outline') {
    return <ChoiceCard onTune={onTune} />;
  }
  return (
    <View
      pointerEvents="box-none"
      style={{
        flexDirection: 'row',
        alignItems: 'flex-end',
        justifyContent: 'flex-end',
        gap: SPACE.s,
      }}
    >
      <FirstHint />
      <Button title="Run from here" icon="play" onPress={onRunHere} testID="run-here" />
    </View>
  );
}
