import { View } from 'react-native';
import { GRID_STEPS } from '@/core/assemble';
import { Card, IconButton, shortNumber, Words } from '../parts';
import { useView, VIEW_MODES } from '../scene';
import { useCourse } from '../state/courseStore';
import { SPACE, useColours } from '../theme';
import { planeOf, useLay } from './layStore';

const MODE_NAMES = { side: 'Side', above: 'Above', free: 'Free' } as const;
const MODE_ICONS = { side: 'square', above: 'map', free: 'box' } as const;

/** The next view, grid step or work plane, for buttons and keys alike. */
export const viewCommands = {
  nextView: () => {
    const { mode, setMode } = useView.getState();
    setMode(VIEW_MODES[(VIEW_MODES.indexOf(mode) + 1) % VIEW_MODES.length]);
  },
  nextStep: () => {
    const { step, set } = useLay.getState();
    const place = GRID_STEPS.findIndex((s) => s === step);
    set({ step: GRID_STEPS[(place + 1) % GRID_STEPS.length] });
  },
  movePlane: (ways: 1 | -1) => {
    const lay = useLay.getState();
    const by = ways * (lay.step || 0.25);
    const { axis } = planeOf(useView.getState().mode, lay);
    lay.set(axis === 'z' ? { depth: lay.depth + by } : { level: lay.level + by });
  },
  fit: () => useView.getState().fit(useCourse.getState().course),
  focus: () => {
    const { course, choice } = useCourse.getState();
    useView.getState().fit(course, choice.size > 0 ? choice : undefined);
  },
};

/** How one looks and where taps land: view, grid step, work plane, all of it in view. */
export function ViewTools() {
  const colours = useColours();
  const mode = useView((s) => s.mode);
  const step = useLay((s) => s.step);
  const level = useLay((s) => s.level);
  const depth = useLay((s) => s.depth);
  const { axis, value } = planeOf(mode, { level, depth });
  const rule = (
    <View
      style={{ height: 1, alignSelf: 'stretch', backgroundColor: colours.line, marginVertical: 2 }}
    />
  );
  return (
    <Card style={{ width: 60, alignItems: 'center', paddingVertical: SPACE.xs }}>
      <IconButton
        icon={MODE_ICONS[mode]}
        label={MODE_NAMES[mode]}
        hint="V"
        labelled
        onPress={viewCommands.nextView}
        style={{ minHeight: 52 }}
        testID="view-mode"
      />
      {rule}
      <IconButton
        icon="grid"
        label={step === 0 ? 'Off' : `${step} m`}
        hint="G"
        labelled
        on={step > 0}
        onPress={viewCommands.nextStep}
        style={{ minHeight: 52 }}
      />
      {rule}
      <IconButton
        icon="arrow-up"
        label="Work plane on"
        hint="]"
        onPress={() => viewCommands.movePlane(1)}
      />
      <Words as="smallFigures" accessibilityLabel={`Work plane at ${axis} ${value} metres`}>
        {axis} {shortNumber(value)}
      </Words>
      <IconButton
        icon="arrow-down"
        label="Work plane back"
        hint="["
        onPress={() => viewCommands.movePlane(-1)}
      />
      {rule}
      <IconButton icon="maximize" label="All in view" hint="Home" onPress={viewCommands.fit} />
    </Card>
  );
}
