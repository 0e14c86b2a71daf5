import { memo } from 'react';
import { ScrollView, View } from 'react-native';
import { chosenOf } from '@/core/edit';
import { IconButton } from '../../../parts';
import { useView } from '../../../scene';
import { usePanelSnapshot } from '../../../state/panelSnapshot';
import { hintFor } from '../../commands/keys';
import { useLayOf } from '../../open/laying';
import { CHOICE_ACTIONS, STEP_ACTIONS, type ChoiceAction } from './actions';

/**
 * Buttons for what is done to the chosen pieces: steps, then a strip of handles and all the rest. Whatever
 * is chosen, they stay.
 */
export const ChoiceActions = memo(function ChoiceActions() {
  const upright = useView((s) => s.mode) === 'side';
  const lay = useLayOf('handles', 'ownAxes', 'bothSides', 'adding', 'dragCopies');
  const grouped = usePanelSnapshot((s) => chosenOf(s.course, s.choice).some(({ group }) => group));
  const now = { ...lay, grouped, upright };
  const shown = ({ when }: ChoiceAction) => !when || when(now);
  return (
    <View>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
        {STEP_ACTIONS.filter(shown).map(({ label, icon, keys, command, danger, act }) => (
          // Eight in a row have to fit the card of a wide screen, where a mouse hits them.
          <IconButton
            key={label}
            icon={icon}
            label={label}
            hint={keys ?? (command && hintFor(command))}
            danger={danger}
            onPress={act}
            style={{ minWidth: 36, flex: 1, maxWidth: 48 }}
          />
        ))}
      </View>
      <ScrollView
        horizontal
        showsHorizontalScrollIndicator={false}
        contentContainerStyle={{ gap: 2 }}
      >
        {CHOICE_ACTIONS.filter(shown).map(({ label, icon, command, on, act, testID }) => (
          <IconButton
            key={label}
            icon={icon}
            label={label}
            labelled
            on={on?.(now)}
            hint={command && hintFor(command)}
            onPress={act}
            testID={testID}
            style={{ minHeight: 54, minWidth: 62, paddingHorizontal: 4 }}
          />
        ))}
      </ScrollView>
    </View>
  );
});
