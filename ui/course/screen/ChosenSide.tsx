import { ScrollView, View } from 'react-native';
import { usePanelSnapshot } from '../../state/panelSnapshot';
import { SPACE, useColours } from '../../theme';
import { ChoiceActions } from '../lay/cards/ChoiceActions';
import { CourseGlance } from './CourseGlance';
import { TunePanel } from './TunePanel';

/** On a wide screen the chosen piece's card stands at the right in Lay and Tune. */
export function ChosenSide() {
  const colours = useColours();
  const chosen = usePanelSnapshot((s) => s.choice.size > 0);
  return (
    <View
      style={{
        width: 320,
        borderLeftWidth: 1,
        borderColor: colours.line,
        backgroundColor: colours.card,
      }}
    >
      {chosen ? (
        <>
          <ScrollView contentContainerStyle={{ padding: SPACE.l }}>
            <TunePanel />
          </ScrollView>
          <View style={{ padding: SPACE.xs, borderTopWidth: 1, borderColor: colours.line }}>
            <ChoiceActions />
          </View>
        </>
      ) : (
        <ScrollView>
          <CourseGlance />
        </ScrollView>
      )}
    </View>
  );
}
