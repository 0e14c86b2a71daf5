import { View } from 'react-native';
import { Card, IconButton, shortNumber, Text } from '../../parts';
import { useView } from '../../scene';
import { SPACE, useColours } from '../../theme';
import { viewCommands } from '../commands/list';
import { hintFor } from '../commands/keys';
import { planeOf, useLayOf } from '../open/laying';
import { useOpen } from '../open/openStore';
import { PlanMap } from './PlanMap';

const MODE_NAMES = { side: 'Side', above: 'Above', free: 'Free' } as const;
const MODE_ICONS = { side: 'square', above: 'map', free: 'box' } as const;

/**
 * How one looks and where taps land: view, snapping, work plane, plan, all of it in view.
 * @param bare only how one looks, where there is little room and nothing is laid
 */
export function ViewTools({ bare = false }: { bare?: boolean }) {
  const { sheet, open, toggle } = useOpen();
  return (
    <View
      pointerEvents="box-none"
      style={{
        flexDirection: 'row',
        alignItems: 'flex-start',
        alignSelf: 'stretch',
        gap: SPACE.s,
      }}
    >
      <View pointerEvents="box-none" style={{ flex: 1, flexDirection: 'row', gap: SPACE.s }}>
        <Card style={{ width: 48, alignItems: 'center', alignSelf: 'flex-start' }}>
          <IconButton
            icon="compass"
            label="Plan of the whole course"
            hint={hintFor('view.plan')}
            on={sheet === 'plan'}
            onPress={() => toggle('plan')}
            testID="plan-toggle"
          />
          <IconButton
            icon="maximize"
            label="All in view"
            hint={hintFor('view.fit')}
            onPress={viewCommands.fit}
          />
          <IconButton
            icon="more-horizontal"
            label="Look and find"
            hint={hintFor('view.more')}
            onPress={() => open('look')}
            testID="look-open"
          />
        </Card>
        {sheet === 'plan' && <PlanMap />}
      </View>
      {!bare && (
        <Card style={{ width: 60, alignItems: 'center', paddingVertical: 2 }}>
          <ViewMode />
          <Rule />
          <Snapping />
          <Rule />
          <WorkPlane />
        </Card>
      )}
    </View>
  );
}

function Rule() {
  const colours = useColours();
  return <View style={{ height: 1, alignSelf: 'stretch', backgroundColor: colours.line }} />;
}

function ViewMode() {
  const mode = useView((s) => s.mode);
  return (
    <IconButton
      icon={MODE_ICONS[mode]}
      label={MODE_NAMES[mode]}
      hint={hintFor('view.next')}
      labelled
      onPress={viewCommands.nextView}
      style={{ minHeight: 46 }}
      testID="view-mode"
    />
  );
}

/** The grid's steps in a word. */
function gridWord([x, y, z]: readonly number[]): string {
  if (x !== y || y !== z) return 'Mixed';
  return x === 0 ? 'Free' : `${x} m`;
}

function Snapping() {
  const { steps, snapping, turnStep, toggleSnap } = useLayOf(
    'steps',
    'snapping',
    'turnStep',
    'toggleSnap',
  );
  return (
    <>
      <IconButton
        icon="grid"
        label={snapping ? gridWord(steps) : 'Off'}
        hint={hintFor('snap')}
        labelled
        on={snapping}
        onPress={() => toggleSnap('snapping')}
        style={{ minHeight: 46 }}
        testID="snap-toggle"
      />
      <IconButton
        icon="sliders"
        label={snapping && turnStep > 0 ? `${turnStep}°` : '1°'}
        labelled
        onPress={() => useOpen.getState().open('snap')}
        style={{ minHeight: 44 }}
        testID="snap-settings"
      />
    </>
  );
}

/** Where the plane that is laid on stands, and a step on and back. */
function WorkPlane() {
  const mode = useView((s) => s.mode);
  const { level, depth } = useLayOf('level', 'depth');
  const { axis, value } = planeOf(mode, { level, depth });
  return (
    <>
      <IconButton
        icon="arrow-up"
        label="Work plane on"
        hint={hintFor('plane.on')}
        onPress={() => viewCommands.movePlane(1)}
      />
      <Text as="smallFigures">
        {axis} {shortNumber(Math.round(value * 100) / 100)}
      </Text>
      <IconButton
        icon="arrow-down"
        label="Work plane back"
        hint={hintFor('plane.back')}
        onPress={() => viewCommands.movePlane(-1)}
      />
    </>
  );
}
