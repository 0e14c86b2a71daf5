import { View } from 'react-native';
import { mapVec3 } from '@/core/geometry';
import { chosenOf, GRID_STEPS, TURN_STEPS } from '@/core/edit';
import { Button, Choices, NumberField, Sheet, Text, Toggle } from '../../../parts';
import { useCourse } from '../../../state/courseStore';
import { useLayOf } from '../../open/laying';

/** @throws RangeError in words when a value is none that a step may have */
function within(value: number, min: number, max: number): number {
  if (!Number.isFinite(value) || value < min || value > max) {
    throw new RangeError(`A step goes from ${min} to ${max}.`);
  }
  return value;
}

const words = (step: number, unit: string) => (step === 0 ? 'Off' : `${step} ${unit}`);

/** Grid step for each axis, turn step, and what else takes hold. */
export function SnapSheet({ onClose }: { onClose: () => void }) {
  const { ends, corners, surface, snapping, toggleSnap } = useLayOf(
    'ends',
    'corners',
    'surface',
    'snapping',
    'toggleSnap',
  );
  return (
    <Sheet title="Steps and snaps" open onClose={onClose}>
      <Toggle label="Snap" value={snapping} onChange={() => toggleSnap('snapping')} />
      <Text as="small" tint="slate">
        Hold Alt and nothing snaps while it is down.
      </Text>
      <Steps />
      <GridPlace />
      <Toggle label="Open ends" value={ends} onChange={() => toggleSnap('ends')} />
      <Toggle label="Corners and middles" value={corners} onChange={() => toggleSnap('corners')} />
      <Toggle label="Surfaces" value={surface} onChange={() => toggleSnap('surface')} />
    </Sheet>
  );
}

/** By how much pieces go and turn at a time. */
function Steps() {
  const { steps, turnStep, setSteps, setTurnStep } = useLayOf(
    'steps',
    'turnStep',
    'setSteps',
    'setTurnStep',
  );
  const setStep = (axis: number | 'all', step: number) =>
    setSteps(mapVec3((i) => (axis === 'all' || axis === i ? step : steps[i])));
  const same = steps.every((step) => step === steps[0]);
  return (
    <>
      <Choices
        label="Grid, all axes"
        value={same ? String(steps[0]) : ''}
        options={GRID_STEPS.map((step) => ({ value: String(step), label: words(step, 'm') }))}
        onChange={(value) => setStep('all', Number(value))}
      />
      <View>
        {(['x', 'y', 'z'] as const).map((axis, i) => (
          <NumberField
            key={axis}
            label={`Step along ${axis}`}
            unit="m"
            step={0.05}
            value={steps[i]}
            testID={`step-${axis}`}
            onChange={(step) => setStep(i, within(step, 0, 100))}
          />
        ))}
        <NumberField
          label="Turns by"
          unit="°"
          step={2.5}
          value={turnStep}
          testID="step-turn"
          onChange={(step) => setTurnStep(step)}
        />
      </View>
      <Choices
        label="Turns"
        value={String(turnStep)}
        options={TURN_STEPS.map((step) => ({
          value: String(step),
          label: step === 0 ? 'Off' : `${step}°`,
        }))}
        onChange={(value) => setTurnStep(Number(value))}
      />
    </>
  );
}

/** Where the grid has its origin, and how it is turned. */
function GridPlace() {
  const { gridOrigin, gridTurn, placeGrid } = useLayOf('gridOrigin', 'gridTurn', 'placeGrid');
  const chosen = useCourse((s) => chosenOf(s.course, s.choice)[0]);
  return (
    <>
      <View>
        <Text as="smallStrong">Where the grid lies</Text>
        {(['x', 'y', 'z'] as const).map((axis, i) => (
          <NumberField
            key={axis}
            label={`Origin ${axis}`}
            unit="m"
            step={0.25}
            value={gridOrigin[i]}
            onChange={(v) =>
              placeGrid(
                mapVec3((k) => (k === i ? v : gridOrigin[k])),
                gridTurn,
              )
            }
          />
        ))}
        <NumberField
          label="Turned by"
          unit="°"
          step={15}
          value={gridTurn}
          testID="grid-turn"
          onChange={(v) => placeGrid(gridOrigin, v)}
        />
      </View>
      <Button
        title="Lay the grid on what is chosen"
        icon="crosshair"
        disabled={!chosen}
        onPress={() => chosen && placeGrid([...chosen.at], chosen.turn?.[1] ?? 0)}
      />
    </>
  );
}
