import { useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import type { RunnerKind } from '@/core/course';
import { SPACE } from '../../theme';
import { RUNNER_ROWS, type Held } from '../runners';
import { HoldButton } from './HoldButton';
import { Pad } from './Pad';
import { type Offset, useTouchLayout, useTouchLayouts } from './touchLayout';
import { UnderThumb } from './UnderThumb';
import type { Controls } from './useControls';

/** The pad under one thumb and the buttons under the other, as they were arranged. */
export function TouchControls({
  kind,
  controls,
  sideOn,
  hidden,
  arranging,
}: {
  kind: RunnerKind;
  controls: Controls;
  sideOn: boolean;
  hidden: boolean;
  /** Whether they are being put where they are to lie. */
  arranging: boolean;
}) {
  const pedal = usePedals(controls);
  const { leftHanded, size, pad, buttons } = useTouchLayout(kind);
  const arrange = (part: 'pad' | 'buttons') =>
    arranging
      ? (offset: Offset) => useTouchLayouts.getState().set(kind, { [part]: offset })
      : undefined;
  const worked = RUNNER_ROWS[kind].controls;
  const steers = worked.kind === 'pedals';
  return (
    <View
      pointerEvents="box-none"
      style={[
        styles.sides,
        { flexDirection: leftHanded ? 'row-reverse' : 'row', opacity: hidden ? 0 : 1 },
      ]}
    >
      <UnderThumb
        onLeft={!leftHanded}
        {...{ size, offset: pad, onMove: arrange('pad'), name: 'pad', testID: 'under-pad' }}
      >
        <Pad
          level={steers}
          size={size}
          arrows={steers ? 'sides' : sideOn ? 'stage' : 'all'}
          onPush={(right, forward) =>
            steers ? pedal({ steer: right }) : controls.push(right, forward)
          }
        />
      </UnderThumb>
      <UnderThumb
        onLeft={leftHanded}
        {...{ size, offset: buttons, onMove: arrange('buttons'), name: 'buttons' }}
        testID="under-buttons"
      >
        {worked.kind === 'pedals' && (
          <Pedals brake={worked.brake} drive={worked.drive} onPedal={pedal} />
        )}
        {worked.kind === 'pad' && (
          <HoldButton
            {...worked.button}
            testID="run-jump"
            size={112}
            onHold={(held) => controls.press(held)}
          />
        )}
      </UnderThumb>
    </View>
  );
}

interface PedalState {
  readonly drive: boolean;
  readonly brake: boolean;
  /** From -1, full left, to 1. */
  readonly steer: number;
}

/** Pedals and steering of a cart as its controls take them; tells what one of them is changed to. */
function usePedals(controls: Controls): (change: Partial<PedalState>) => void {
  const state = useRef<PedalState>({ drive: false, brake: false, steer: 0 });
  return (change) => {
    state.current = { ...state.current, ...change };
    const { drive, brake, steer } = state.current;
    controls.push(steer, drive ? 1 : brake ? -1 : 0);
    // Both pedals at once draw the hand brake: the cart drifts and goes on driving.
    controls.press(drive && brake);
  };
}

interface PedalsProps {
  readonly brake: Held;
  readonly drive: Held;
  readonly onPedal: (change: Partial<PedalState>) => void;
}

function Pedals({ brake, drive, onPedal }: PedalsProps) {
  return (
    <View pointerEvents="box-none" style={{ alignItems: 'flex-end', gap: SPACE.m }}>
      <HoldButton
        {...brake}
        testID="run-brake"
        size={76}
        plain
        onHold={(held) => onPedal({ brake: held })}
      />
      <HoldButton
        {...drive}
        testID="run-drive"
        size={112}
        onHold={(held) => onPedal({ drive: held })}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  sides: {
    justifyContent: 'space-between',
    alignItems: 'flex-end',
    padding: SPACE.l,
    paddingBottom: SPACE.xl,
  },
});
