import { memo, useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { chosenOf } from '@/core/edit';
import { IconButton } from '../../../parts';
import { useView } from '../../../scene';
import { usePanelSnapshot } from '../../../state/panelSnapshot';
import { WIDE } from '../../../theme';
import { hintFor } from '../../commands/keys';
import { useLayOf } from '../../open/laying';
import { CHOICE_ACTIONS, STEP_ACTIONS, type ChoiceAction, type ChoiceNow } from './actions';

/** Buttons that are shown on a wide screen before the others are asked for: with theirs, three rows of five. */
const FIRST = 14;

/**
 * Buttons for what is done to the chosen pieces: steps, then handles and all the rest, in a strip for a finger and in
 * rows for a mouse. Whatever is chosen, they stay.
 */
export const ChoiceActions = memo(function ChoiceActions() {
  const upright = useView((s) => s.mode) === 'side';
  const lay = useLayOf('handles', 'ownAxes', 'bothSides', 'adding', 'dragCopies');
  const grouped = usePanelSnapshot((s) => chosenOf(s.course, s.choice).some(({ group }) => group));
  const now = { ...lay, grouped, upright };
  const shown = ({ when }: ChoiceAction) => !when || when(now);
  const actions = CHOICE_ACTIONS.filter(shown);
  const wide = useWindowDimensions().width >= WIDE;
  const [unfolded, setUnfolded] = useState(false);
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
      {wide ? (
        <View style={styles.wrapped}>
          {(unfolded ? actions : actions.slice(0, FIRST)).map((action) => (
            <ActionButton key={action.label} action={action} now={now} />
          ))}
          <IconButton
            icon={unfolded ? 'chevron-up' : 'more-horizontal'}
            label={unfolded ? 'Fewer' : 'More'}
            labelled
            onPress={() => setUnfolded(!unfolded)}
            style={styles.action}
            testID="act-more"
          />
        </View>
      ) : (
        <ScrollView
          horizontal
          showsHorizontalScrollIndicator={false}
          contentContainerStyle={{ gap: 2 }}
        >
          {actions.map((action) => (
            <ActionButton key={action.label} action={action} now={now} />
          ))}
        </ScrollView>
      )}
    </View>
  );
});

interface ActionButtonProps {
  readonly action: ChoiceAction;
  readonly now: ChoiceNow;
}

const ActionButton = ({ action, now }: ActionButtonProps) => {
  const { label, icon, command, on, act, testID } = action;
  return (
    <IconButton
      icon={icon}
      label={label}
      labelled
      on={on?.(now)}
      hint={command && hintFor(command)}
      onPress={act}
      testID={testID}
      style={styles.action}
    />
  );
};

const styles = StyleSheet.create({
  wrapped: { flexDirection: 'row', flexWrap: 'wrap' },
  action: { minHeight: 54, minWidth: 62, paddingHorizontal: 4 },
});
