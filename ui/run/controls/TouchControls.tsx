import { useRef } from 'react';
import { View } from 'react-native';
import type { RunnerKind } from '@/core/course';
import { SPACE } from '../../theme';
import { RUNNER_ROWS } from '../runners';
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
  const pedals = useRef({ drive: false, brake: false, steer: 0 });
  // Both pedals at once draw the hand brake: the cart drifts and goes on driving.
  const pedal = (change: Partial<typeof pedals.current>) => {
    Object.assign(pedals.current, change);
    const { drive, brake, steer } = pedals.current;
    controls.push(steer, drive ? 1 : brake ? -1 : 0);
    controls.press(drive && brake);
  };
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
      style={{
        flexDirection: leftHanded ? 'row-reverse' : 'row',
        justifyContent: 'space-between',
        alignItems: 'flex-end',
        padding: SPACE.l,
        paddingBottom: SPACE.xl,
        opacity: hidden ? 0 : 1,
      }}
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
        {steers ? (
          <View pointerEvents="box-none" style={{ alignItems: 'flex-end', gap: SPACE.m }}>
            <HoldButton
              name={worked.brake.name}
              testID="run-brake"
              size={76}
              mark={worked.brake.mark}
              plain
              onHold={(brake) => pedal({ brake })}
            />
            <HoldButton
              name={worked.drive.name}
              testID="run-drive"
              size={112}
              mark={worked.drive.mark}
              onHold={(drive) => pedal({ drive })}
            />
          </View>
        ) : (
          worked.kind === 'pad' && (
            <HoldButton
              {...worked.button}
              testID="run-jump"
              size={112}
              onHold={(held) => controls.press(held)}
            />
          )
        )}
      </UnderThumb>
    </View>
  );
}
