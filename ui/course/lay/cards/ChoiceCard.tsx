import { memo, type ComponentProps } from 'react';
import { chosenOf } from '@/core/edit';
import { ScrollView, View } from 'react-native';
import { familyOf } from '@/core/pieces';
import { Card, IconButton, PiecePicture, numberText, Text, type IconName } from '../../../parts';
import { useView } from '../../../scene';
import { useEditing, usePanelSnapshot } from '../../../state/panelSnapshot';
import { SPACE } from '../../../theme';
import { buildCommands } from '../../commands/commands';
import { hintFor } from '../../commands/keys';
import { HANDLE_MODES, type HandleMode, useLayOf } from '../layStore';
import { useOpen } from '../../screen/openStore';

/** The chosen pieces while laying: what they are, a way to their figures, and what is done to them. */
export function ChoiceCard({ onTune }: { onTune: () => void }) {
  const { course, choice } = useEditing();
  const [piece] = chosenOf(course, choice);
  if (!piece) return null;
  const many = choice.size > 1;
  return (
    <Card style={{ padding: SPACE.s, gap: SPACE.xs }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s }}>
        <PiecePicture piece={piece} size={40} />
        <View style={{ flex: 1, minWidth: 0 }}>
          <Text as="strong" numberOfLines={1} testID="choice-name">
            {many ? `${choice.size} pieces` : (piece.name ?? familyOf(piece.family).label)}
          </Text>
          <Text as="smallFigures" tint="slate" numberOfLines={1} testID="choice-place">
            {piece.at.map((v) => numberText(Math.round(v * 100) / 100)).join('  ')}
          </Text>
        </View>
        <IconButton icon="sliders" label="Tune" labelled onPress={onTune} />
        <IconButton icon="x" label="Let go" hint="Esc" onPress={buildCommands.done} />
      </View>
      <ChoiceActions />
    </Card>
  );
}

const HANDLE_ICONS: Record<HandleMode, IconName> = {
  move: 'move',
  turn: 'rotate-ccw',
  stretch: 'maximize-2',
  slope: 'trending-up',
};
const HANDLE_WORDS: Record<HandleMode, string> = {
  move: 'Move',
  turn: 'Turn',
  stretch: 'Stretch',
  slope: 'Edges',
};

/** Eight in a row have to fit the card of a wide screen, where a mouse hits them. */
const StepButton = (props: ComponentProps<typeof IconButton>) => (
  <IconButton {...props} style={{ minWidth: 36, flex: 1, maxWidth: 48 }} />
);

/**
 * Buttons for what is done to the chosen pieces: steps and handles, then a strip of all the rest. Whatever
 * is chosen, they stay.
 */
export const ChoiceActions = memo(function ChoiceActions() {
  const upright = useView((s) => s.mode) === 'side';
  const { handles, ownAxes, bothSides, adding, dragCopies, set } = useLayOf(
    'handles',
    'ownAxes',
    'bothSides',
    'adding',
    'dragCopies',
    'set',
  );
  const grouped = usePanelSnapshot((s) => chosenOf(s.course, s.choice).some(({ group }) => group));
  const { move, turn, duplicate, remove } = buildCommands;
  const { open } = useOpen.getState();
  return (
    <View>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
        <StepButton icon="arrow-left" label="Move left" hint="←" onPress={() => move(-1, 0, 0)} />
        <StepButton icon="arrow-right" label="Move right" hint="→" onPress={() => move(1, 0, 0)} />
        {!upright && (
          <>
            <StepButton icon="arrow-up" label="Move away" hint="↑" onPress={() => move(0, 0, -1)} />
            <StepButton
              icon="arrow-down"
              label="Move nearer"
              hint="↓"
              onPress={() => move(0, 0, 1)}
            />
          </>
        )}
        <StepButton
          icon="chevrons-up"
          label="Raise"
          hint={hintFor('raise')}
          onPress={() => move(0, 1, 0)}
        />
        <StepButton
          icon="chevrons-down"
          label="Lower"
          hint={hintFor('lower')}
          onPress={() => move(0, -1, 0)}
        />
        <StepButton icon="rotate-ccw" label="Turn" hint={hintFor('turn')} onPress={() => turn(1)} />
        {upright && (
          <StepButton
            icon="copy"
            label="Duplicate"
            hint={hintFor('duplicate')}
            onPress={duplicate}
          />
        )}
        <StepButton
          icon="trash-2"
          label="Delete"
          hint={hintFor('delete')}
          danger
          onPress={remove}
        />
      </View>
      <ScrollView
        horizontal
        showsHorizontalScrollIndicator={false}
        contentContainerStyle={{ gap: 2 }}
      >
        {HANDLE_MODES.map((mode) => (
          <Act
            key={mode}
            icon={HANDLE_ICONS[mode]}
            label={HANDLE_WORDS[mode]}
            on={handles === mode}
            command="handles"
            onPress={() => set({ handles: mode })}
          />
        ))}
        <Act
          icon="compass"
          label="Own axes"
          on={ownAxes}
          command="handles.own"
          onPress={() => set({ ownAxes: !ownAxes })}
        />
        {handles === 'stretch' && (
          <Act
            icon="code"
            label="Both sides"
            on={bothSides}
            command="handles.both"
            onPress={() => set({ bothSides: !bothSides })}
          />
        )}
        <Act icon="copy" label="Duplicate" command="duplicate" onPress={duplicate} />
        <Act
          icon="plus-square"
          label="In hand"
          command="take.like"
          onPress={buildCommands.takeLike}
          testID="act-in-hand"
        />
        <Act
          icon="layers"
          label="Drag copy"
          on={dragCopies}
          onPress={() => set({ dragCopies: !dragCopies })}
          testID="act-drag-copy"
        />
        <Act
          icon="copy"
          label="In place"
          command="duplicate.here"
          onPress={buildCommands.duplicateHere}
          testID="act-in-place"
        />
        <Act
          icon="align-center"
          label="Line up"
          command="align"
          onPress={() => open('align')}
          testID="act-align"
        />
        <Act
          icon="grid"
          label="Copies"
          command="copies"
          onPress={() => open('copies')}
          testID="act-copies"
        />
        <Act
          icon="shuffle"
          label="Swap"
          command="swap"
          onPress={() => open('swap')}
          testID="act-swap"
        />
        <Act
          icon="plus-circle"
          label="Add more"
          on={adding}
          onPress={() => set({ adding: !adding })}
          testID="act-add"
        />
        <Act icon="link" label="Group" command="group" onPress={buildCommands.group} />
        {grouped && (
          <Act icon="scissors" label="Ungroup" command="ungroup" onPress={buildCommands.ungroup} />
        )}
        <Act icon="download" label="Drop" command="drop" onPress={buildCommands.drop} />
        <Act icon="trending-up" label="On slope" command="lie" onPress={buildCommands.lieAlong} />
        <Act
          icon="arrow-down-circle"
          label="Sink"
          command="sink"
          onPress={() => buildCommands.sink(0.1)}
        />
        <Act
          icon="corner-down-right"
          label="Corner"
          onPress={() => set({ cornering: { own: null } })}
          testID="act-corner"
        />
        <Act icon="triangle" label="Ramp" onPress={buildCommands.ramp} testID="act-ramp" />
        <Act icon="repeat" label="Flip" command="flip" onPress={buildCommands.flip} />
        <Act icon="eye-off" label="Hide" command="hide" onPress={buildCommands.hide} />
        <Act icon="lock" label="Lock" command="lock" onPress={buildCommands.lock} />
        <Act icon="archive" label="Keep" command="kit.keep" onPress={() => open('kit')} />
      </ScrollView>
    </View>
  );
});

interface ActProps {
  readonly icon: IconName;
  readonly label: string;
  readonly on?: boolean;
  readonly command?: string;
  readonly onPress: () => void;
  readonly testID?: string;
}

function Act({ command, ...rest }: ActProps) {
  return (
    <IconButton
      {...rest}
      labelled
      hint={command && hintFor(command)}
      style={{ minHeight: 54, minWidth: 62, paddingHorizontal: 4 }}
    />
  );
}
